import { Link } from "@tanstack/react-router";
import { Archive } from "lucide-react";
import { buttonClass } from "../../ui/Button";
import { EngineFilePart } from "../interchange/EngineFilePart";

/** What to do while there is no engine. */
export function FirstEngine() {
  return (
    <div className="mx-auto flex max-w-2xl flex-1 flex-col justify-center gap-4 p-6">
      <h1 className="text-3xl">Describe your first engine</h1>
      <p className="text-lg text-muted">
        Its layout, valve drive and cam card, from the builder's sheet or the manual: ten minutes, once. From
        then on Shim says where to bar the crank, which valve to set there, what its lash should be now and
        how far to turn, and keeps every figure as found and as left.
      </p>
      <Link to="/engines/new" className={`${buttonClass("now")} self-start text-lg`}>
        New engine
      </Link>
      <EngineFilePart />
      <p>
        <Link to="/backup" className={buttonClass()}>
          <Archive aria-hidden className="size-5" /> Put a backup back
        </Link>
      </p>
    </div>
  );
}
