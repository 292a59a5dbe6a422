import { zodResolver } from "@hookform/resolvers/zod";
import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import {
  type DefaultValues,
  type FieldPath,
  type FieldPathValue,
  type FieldValues,
  type PathValue,
  useForm,
} from "react-hook-form";
import type { z } from "zod";
import { ApiProblem } from "../api/client";

interface Entry<In extends FieldValues, Out, Answer> {
  /** Reads what is in the boxes; what it cannot read is said at its box and nothing is sent. */
  schema: z.ZodType<Out, In>;
  first: DefaultValues<In>;
  send: (read: Out) => Promise<Answer>;
  kept?: (answer: Answer, read: Out) => unknown;
  /** What Shim calls a box, where it is not the box's own name; a prefix will do. */
  fields?: Partial<Record<FieldPath<In>, string>>;
  /** What of it counts: a box that is not shown is not read, whatever was typed in it before. */
  shown?: (typed: In) => In;
  /** Told of everything typed or chosen, at once: what this device keeps for the next time. */
  remember?: (typed: In) => void;
  /** Boxes are read while they are typed: something on the page follows them. */
  atOnce?: boolean;
  /** What the page itself says at boxes of its own. */
  elsewhere?: string[];
}

/** A form: its boxes, what is wrong at each in words, and one way to send it. */
export function useEntry<In extends FieldValues, Out, Answer>(entry: Entry<In, Out, Answer>) {
  const { shown = (typed) => typed } = entry;
  const read = zodResolver<In, unknown, Out>(entry.schema);
  const form = useForm<In, unknown, Out>({
    defaultValues: entry.first,
    resolver: (typed, context, options) => read(shown(typed), context, options),
    mode: entry.atOnce ? "onChange" : "onSubmit",
  });
  const remember = useRef(entry.remember);
  remember.current = entry.remember;
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true },
        callback: ({ values }) => remember.current?.(values),
      }),
    [form],
  );
  const keep = useMutation({
    mutationFn: entry.send,
    onSuccess: (answer, read) => entry.kept?.(answer, read),
  });
  const refused = keep.error instanceof ApiProblem ? keep.error.errors : [];
  const field = (name: FieldPath<In>) => entry.fields?.[name] ?? name.replace(/\.(\d+)/g, "[$1]");
  const error = (start: string) => refused.find((e) => e.field.startsWith(start))?.message;
  const boxes = Object.keys(form.getValues()) as FieldPath<In>[];
  const homes = [...boxes.map(field), ...(entry.elsewhere ?? [])];
  const homeless = refused.filter((e) => !homes.some((home) => e.field.startsWith(home)));
  return {
    form,
    /** Properties of a box of text, a list or a tick. */
    box: (name: FieldPath<In>) => ({
      ...form.register(name),
      error: form.getFieldState(name, form.formState).error?.message ?? error(field(name)),
    }),
    /** Properties of a choice. */
    choice: <N extends FieldPath<In>>(name: N) => ({
      value: form.watch(name) as FieldPathValue<In, N>,
      onChange: (value: FieldPathValue<In, N>) =>
        form.setValue(name, value as PathValue<In, N>, { shouldDirty: true }),
    }),
    /** What Shim says of something that is no box here, such as the initials. */
    error,
    refused,
    submit: form.handleSubmit((read) => keep.mutate(read)),
    keeping: keep.isPending,
    kept: keep.isSuccess && !form.formState.isSubmitting,
    /** What Shim said that belongs to no box. */
    trouble: !keep.error
      ? undefined
      : refused.length === 0
        ? keep.error.message
        : homeless.map((e) => e.message).join("; ") || undefined,
  };
}
