/**
 * The judgement benchmark: seasons with a known truth, made by laws that are not the model's,
 * judged by Shim and by two rivals, compared as curves of springs missed against false changes.
 */
package shim.bench.judgement;
