import { useState } from "react";
import { later } from "../../ui/later";
import type { RulesProps } from "./RulesForm";

const RulesForm = later(() => import("./RulesForm"), "RulesForm");

/** The team's own limits, seldom changed: their form comes when it is opened, and stays with what is typed. */
export function RulesPart(props: RulesProps) {
  const [opened, setOpened] = useState(false);
  return (
    <details className="scribed rounded px-4 py-2" onToggle={() => setOpened(true)}>
      <summary className="min-h-11 content-center font-semibold">Intervals and limits</summary>
      {opened && <RulesForm {...props} />}
    </details>
  );
}
