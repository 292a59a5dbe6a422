import { useNavigate } from "@tanstack/react-router";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { useLongWork } from "../../ui/LongWork";
import { Notice } from "../../ui/Notice";
import { FILE_BOX } from "./fileBox";

/** Takes an engine's file in, as a whole or not at all, and opens that engine. */
export function EngineFilePart() {
  const navigate = useNavigate();
  const take = useLongWork(
    async (file: File, headers, signal) => {
      let document: Schemas["EngineDocument"];
      try {
        document = JSON.parse(await file.text());
      } catch {
        throw new Error(`"${file.name}" is no engine file: it cannot be read as JSON`);
      }
      return answered(api.PUT("/api/engine-files", { body: document, headers, signal }));
    },
    {
      onSuccess: async (taken) => {
        await askedAnew();
        void navigate({ to: "/engines/$id", params: { id: taken.id } });
      },
    },
  );
  return (
    <div className="grid gap-2">
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-muted">Import an engine file</span>
        <input
          type="file"
          accept=".json,application/json"
          className={FILE_BOX}
          disabled={take.isPending}
          onClick={(e) => {
            e.currentTarget.value = "";
          }}
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) take.begin(file);
          }}
        />
      </label>
      {take.far}
      {take.error && <Notice tone="stop">{take.error.message}</Notice>}
    </div>
  );
}
