import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { engineSprings } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { buttonClass } from "../../ui/Button";
import { FittingPart } from "./FittingPart";
import { NewSetPart } from "./NewSetPart";
import { RulesPart } from "./RulesPart";

/** Types, sets, fittings and limits of an engine's springs. */
export function SpringSetupPage() {
  const { id } = useParams({ from: "/engines/$id/setup/springs" });
  const query = useQuery(engineSprings(id));
  return (
    <EngineFrame id={id}>
      {() => {
        if (query.error && !query.data) return <Problem error={query.error} />;
        if (!query.data) return <Waiting />;
        return (
          <div className="grid content-start items-start gap-3 p-3 min-[1000px]:grid-cols-2">
            <nav className="flex flex-wrap gap-2 min-[1000px]:col-span-2" aria-label="Springs and parts">
              <Link to="/engines/$id/pockets" params={{ id }} className={buttonClass()}>
                Heights and parts
              </Link>
              <Link to="/engines/$id/spring-compare" params={{ id }} className={buttonClass()}>
                Does another spring do?
              </Link>
              <Link to="/engines/$id/spring-box" params={{ id }} className={buttonClass()}>
                Sort a box
              </Link>
              <Link to="/engines/$id/order-sheet" params={{ id }} className={buttonClass()}>
                Sheet for ordering
              </Link>
            </nav>
            {query.data.empty.length > 0 && <NewSetPart engineId={id} known={query.data} />}
            {query.data.springs.length > 0 && <FittingPart engineId={id} known={query.data} />}
            <RulesPart engineId={id} rules={query.data.rules} />
          </div>
        );
      }}
    </EngineFrame>
  );
}
