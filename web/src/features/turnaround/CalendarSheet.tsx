import { Download } from "lucide-react";
import { buttonClass } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";

const PATH = "/api/turnaround/calendar.ics";

/** Events, truck, order-by days and the plan for a calendar of one's own. */
export function CalendarSheet({ onClose }: { onClose: () => void }) {
  return (
    <Sheet open onClose={onClose} title="Calendar">
      <div className="grid gap-3">
        <p>
          Events to come, the truck, the last days to order what falls due, and who does what when. A calendar
          that subscribes sees it move; one that takes the file has it as it is now.
        </p>
        <Field
          label="Address to subscribe to"
          readOnly
          value={`${window.location.origin}${PATH}`}
          onFocus={(e) => e.target.select()}
          hint="On another device the launcher's key goes behind it: ?key=…"
        />
        <a href={PATH} className={buttonClass("now")} download="shim.ics">
          <Download aria-hidden className="size-5" /> Take the file
        </a>
      </div>
    </Sheet>
  );
}
