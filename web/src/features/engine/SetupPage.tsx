import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate, useParams } from "@tanstack/react-router";
import { type ReactNode, useEffect, useMemo, useState } from "react";
import { FormProvider, useForm } from "react-hook-form";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { sheetReading } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { EngineFrame } from "../../shell/EngineFrame";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import type { LashUnit } from "../../units/lash";
import { SaidProvider } from "./boxes";
import { CamPart } from "./CamPart";
import { DrivePart } from "./DrivePart";
import { draftOf, useLater } from "./draft";
import { FactsPanel } from "./FactsPanel";
import { LayoutPart } from "./LayoutPart";
import { RulesPart } from "./RulesPart";
import { saidOf } from "./said";
import { BLANK, type EngineSheet, type SheetForm, toForm, toSheet } from "./sheetForm";

export function NewEnginePage() {
  const { unit } = useSettings();
  return <Setup key={unit} unit={unit} start={BLANK} draftKey="shim.draft.new" />;
}

export function SetupPage() {
  const { id } = useParams({ from: "/engines/$id/setup" });
  const { unit } = useSettings();
  return (
    <EngineFrame id={id}>
      {(e) => (
        <Setup key={unit + e.version} unit={unit} start={e.sheet} stored={e} draftKey={`shim.draft.${id}`} />
      )}
    </EngineFrame>
  );
}

interface SetupProps {
  unit: LashUnit;
  start: EngineSheet;
  stored?: Schemas["EngineView"];
  draftKey: string;
}

function Setup({ unit, start, stored, draftKey }: SetupProps) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { hand } = useSettings();
  const [id] = useState(() => stored?.id ?? newId());
  const [tried, setTried] = useState(false);
  const [draft] = useState(() => draftOf(draftKey));
  const form = useForm<SheetForm>({ defaultValues: toForm(draft ?? start, unit) });
  const values = form.watch();
  const text = JSON.stringify(values);
  const { sheet, unreadable } = useMemo(() => toSheet(JSON.parse(text) as SheetForm, unit), [text, unit]);
  useEffect(() => {
    if (form.formState.isDirty) localStorage.setItem(draftKey, JSON.stringify(sheet));
  }, [sheet, draftKey, form.formState.isDirty]);
  const reading = useQuery(sheetReading(useLater(sheet, 250))).data;
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/engines/{id}", {
          params: { path: { id }, query: { basedOn: stored?.version, who: hand || undefined } },
          body: sheet,
        }),
      ),
    onSuccess: (engine) => {
      localStorage.removeItem(draftKey);
      queries.setQueryData(["engines", id], engine);
      void navigate({ to: "/engines/$id", params: { id } });
    },
  });
  const said = saidOf(reading?.problems ?? [], unreadable, tried);
  const open = Object.keys(said.errors).length;
  const submit = () => {
    setTried(true);
    if (unreadable.length === 0) keep.mutate();
  };
  return (
    <FormProvider {...form}>
      <SaidProvider value={said}>
        <form
          className="grid flex-1 gap-3 p-3 min-[1000px]:grid-cols-[minmax(0,1fr)_minmax(320px,400px)]"
          onSubmit={(e) => {
            e.preventDefault();
            submit();
          }}
        >
          <div className="flex min-w-0 flex-col gap-3">
            <Part title={stored ? "Engine" : "New engine"}>
              <Field
                label="Name"
                placeholder="what the team calls it"
                error={said.errors.name}
                {...form.register("name")}
              />
            </Part>
            <Part title="Layout">
              <LayoutPart />
            </Part>
            <Part title="Valve drive">
              <DrivePart />
            </Part>
            <Part title="Cam card">
              <CamPart />
            </Part>
            <Part title="House rules">
              <RulesPart />
            </Part>
          </div>
          <aside className="flex min-w-0 flex-col gap-3 min-[1000px]:sticky min-[1000px]:top-3 min-[1000px]:max-h-[calc(100dvh-5rem)] min-[1000px]:self-start min-[1000px]:overflow-auto">
            <section className="scribed rounded p-3" aria-label="Drawn from the layout">
              {reading?.layout ? (
                <ValvePlan
                  layout={reading.layout}
                  label="Valve plan as written"
                  className="max-h-80 w-full"
                  facing="left"
                />
              ) : (
                <p className="p-6 text-center text-muted">
                  The engine from above is drawn here as you write its layout.
                </p>
              )}
            </section>
            <section className="scribed rounded p-3" aria-label="What follows">
              <FactsPanel reading={reading} />
            </section>
            {draft && (
              <Notice tone="know">
                What you had typed before is still here.{" "}
                <button
                  type="button"
                  className="min-h-6 font-semibold underline"
                  onClick={() => {
                    localStorage.removeItem(draftKey);
                    form.reset(toForm(start, unit));
                  }}
                >
                  Throw it away
                </button>
              </Notice>
            )}
            {tried && open > 0 && (
              <Notice tone="stop">
                {open === 1 ? "One thing is" : `${open} things are`} still open:
                <ul className="list-disc pl-5">
                  {Object.entries(said.errors).map(([field, message]) => (
                    <li key={field}>{message}</li>
                  ))}
                </ul>
              </Notice>
            )}
            {keep.error && !(keep.error instanceof ApiProblem && keep.error.errors.length > 0) && (
              <Notice tone="stop">{keep.error.message}</Notice>
            )}
            <Button look={reading?.facts ? "now" : "plain"} type="submit" className="text-lg">
              Keep this engine
            </Button>
          </aside>
        </form>
      </SaidProvider>
    </FormProvider>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="scribed rounded p-4">
      <h2 className="mb-3 text-lg">{title}</h2>
      {children}
    </section>
  );
}
