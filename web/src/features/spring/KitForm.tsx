import { useQuery, useQueryClient } from "@tanstack/react-query";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { springKit } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, height } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import { groove, grooves } from "./grooves";

type Kit = Schemas["StoredKit"];

interface KitFormProps {
  typeId: string;
  name: string;
  onClose: () => void;
}

/** What a kind of spring can be had with. */
export function KitForm(props: KitFormProps) {
  const kit = useQuery(springKit(props.typeId)).data;
  return kit ? <Known {...props} kit={kit} /> : null;
}

const GROOVES = grooves("any");

/** A change of height with its sign. */
const raise = (unit: LashUnit) =>
  z.string().transform((t, ctx) => {
    const minus = /^\s*[-−]/.test(t);
    const read = height(unit).safeParse(t.replace(/^\s*[-−+]/, ""));
    if (!read.success) {
      ctx.addIssue({ code: "custom", message: `"${t}" cannot be read: +0.050 or −0.050` });
      return 0;
    }
    return (minus ? -1 : 1) * (read.data ?? 0);
  });

const kitOf = (unit: LashUnit) =>
  z.object({
    retainers: z.array(z.object({ name: z.string(), raisesIn: raise(unit), lockDeg: figure() })),
    locks: z.array(
      z.object({
        name: z.string(),
        raisesIn: raise(unit),
        lockDeg: figure(),
        stemIn: height(unit),
        groove: z.string(),
      }),
    ),
    cups: z.array(z.object({ name: z.string(), insideIn: height(unit), thickIn: height(unit) })),
  });

const BLANK = { name: "", raisesIn: "", lockDeg: "", stemIn: "", groove: "", insideIn: "", thickIn: "" };
const PARTS = ["retainers", "locks", "cups"] as const;
const TITLES = { retainers: "Retainers", locks: "Locks", cups: "Cups and locators" };

function Known({ typeId, name, kit, onClose }: KitFormProps & { kit: Kit }) {
  const { unit, hand } = useSettings();
  const queries = useQueryClient();
  const inch = (v: number) => heightText(v, unit);
  const signed = (v: number) => (v === 0 ? "0" : `${v > 0 ? "+" : "−"}${heightText(Math.abs(v), unit)}`);
  const { box, form, submit, trouble } = useEntry({
    schema: kitOf(unit),
    first: {
      retainers: [
        ...kit.kit.retainers.map((r) => ({
          ...BLANK,
          name: r.name,
          raisesIn: signed(r.raisesIn),
          lockDeg: boxText(r.lockDeg),
        })),
        BLANK,
      ],
      locks: [
        ...kit.kit.locks.map((l) => ({
          ...BLANK,
          name: l.name,
          raisesIn: signed(l.raisesIn),
          lockDeg: boxText(l.lockDeg),
          stemIn: boxText(l.stemIn, inch),
          groove: l.groove ?? "",
        })),
        BLANK,
      ],
      cups: [
        ...kit.kit.cups.map((c) => ({
          ...BLANK,
          name: c.name,
          insideIn: inch(c.insideIn),
          thickIn: inch(c.thickIn),
        })),
        BLANK,
      ],
    },
    fields: { retainers: "kit.retainers", locks: "kit.locks", cups: "kit.cups" },
    send: (read) => {
      const named = <T extends { name: string }>(all: T[]) => all.filter((p) => p.name.trim() !== "");
      return answered(
        api.PUT("/api/spring-types/{id}/kit", {
          params: { path: { id: typeId } },
          body: {
            kit: {
              retainers: named(read.retainers),
              locks: named(read.locks).map((l) => ({
                ...l,
                groove: groove(l.groove),
              })),
              cups: named(read.cups).map((c) => ({
                name: c.name,
                insideIn: c.insideIn ?? 0,
                thickIn: c.thickIn ?? 0,
              })),
            },
            basedOn: kit.version,
            hand: hand || undefined,
          },
        }),
      );
    },
    kept: async (stored) => {
      queries.setQueryData(springKit(typeId).queryKey, stored);
      await askedAnew();
      onClose();
    },
  });
  const lines = form.watch();
  return (
    <Sheet open onClose={onClose} title={`${name}: what it can be had with`}>
      <form className="grid gap-4" onSubmit={submit}>
        {PARTS.map((part) => (
          <fieldset key={part} className="grid gap-2">
            <legend className="font-semibold">{TITLES[part]}</legend>
            {lines[part].map((_, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: lines have no other name and never move
              <div key={i} className="grid grid-cols-[2fr_1fr_1fr_1fr_1fr] items-end gap-2">
                <Field label="Name" {...box(`${part}.${i}.name`)} />
                {part === "cups" ? (
                  <>
                    <Field label={`Inside, ${heightUnit(unit)}`} {...box(`cups.${i}.insideIn`)} />
                    <Field label={`Thick, ${heightUnit(unit)}`} {...box(`cups.${i}.thickIn`)} />
                  </>
                ) : (
                  <>
                    <Field label={`Raises, ${heightUnit(unit)}`} {...box(`${part}.${i}.raisesIn`)} />
                    <Field label="Angle, °" {...box(`${part}.${i}.lockDeg`)} />
                  </>
                )}
                {part === "locks" && (
                  <>
                    <Field label={`Stem, ${heightUnit(unit)}`} {...box(`locks.${i}.stemIn`)} />
                    <Select label="Groove" options={GROOVES} {...box(`locks.${i}.groove`)} />
                  </>
                )}
              </div>
            ))}
            <Button
              look="quiet"
              onClick={() =>
                form.setValue(part, [...(form.getValues(part) as (typeof BLANK)[]), BLANK] as never)
              }
            >
              One more
            </Button>
          </fieldset>
        ))}
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <Button look="now" type="submit">
          Keep these parts
        </Button>
      </form>
    </Sheet>
  );
}
