import { ApiProblem } from "../api/client";
import { Notice } from "../ui/Notice";

/** An error as a person can act on it. */
export function Problem({ error }: { error: Error }) {
  const fields = error instanceof ApiProblem ? error.errors : [];
  return (
    <div className="p-4">
      <Notice tone="stop">
        <p className="font-semibold">{error.message}</p>
        {fields.length > 0 && (
          <ul className="list-disc pl-5">
            {fields.map((f) => (
              <li key={f.field + f.message}>{f.message}</li>
            ))}
          </ul>
        )}
      </Notice>
    </div>
  );
}
