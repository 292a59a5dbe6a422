import { answered, api, type Schemas } from "../../api/client";

/** Another cam is put aside; its card stays in the records. */
export const putAside = (engineId: string, o: Schemas["OtherCamView"], hand: string) =>
  answered(
    api.PUT("/api/engines/{id}/cam/others/{otherId}", {
      params: { path: { id: engineId, otherId: o.id } },
      body: { other: { ...o.other, removed: true }, basedOn: o.version, hand },
    }),
  );
