import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { CalendarDays, Plus, Truck, Users } from "lucide-react";
import { type ReactNode, useState } from "react";
import { turnaround as turnaroundQuery } from "../../api/queries";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Button } from "../../ui/Button";
import { later } from "../../ui/later";
import { day } from "../../words/days";
import { STATES } from "../readiness/ReadyPart";
import type { Due, Order } from "../stock/shelf";
import { standing, type Task, type Turnaround } from "./board";
import { Hands } from "./Hands";
import { Lanes } from "./Lanes";
import { SidePart } from "./SidePart";
import { Slips } from "./Slips";
import { engineName } from "./TaskCard";
import { chanceWords, STANDINGS, standingWords, taskWords, waitingTasks } from "./words";

const OrderForm = later(() => import("../stock/OrderForm"), "OrderForm");
const CalendarSheet = later(() => import("./CalendarSheet"), "CalendarSheet");
const TaskForm = later(() => import("./TaskForm"), "TaskForm");
const TeamForm = later(() => import("./TeamForms"), "TeamForm");
const TruckForm = later(() => import("./TeamForms"), "TruckForm");

type Open =
  | { task: Task | "new" }
  | { order: Order | "new"; due?: Due }
  | "truck"
  | "team"
  | "calendar"
  | null;

/** What to do until the truck leaves: will we be ready, and who does what now. */
export function PlanPage({ first }: { first: ReactNode }) {
  const query = useQuery(turnaroundQuery());
  const [open, setOpen] = useState<Open>(null);
  const t = query.data;
  if (!t) return query.error ? <Problem error={query.error} /> : <Waiting />;
  if (t.engines.length === 0) return <>{first}</>;
  const close = () => setOpen(null);
  const edit = (task: Task) => setOpen({ task });
  return (
    <div className="grid gap-3 p-3">
      <Head turnaround={t} onTruck={() => setOpen("truck")} />
      <Engines turnaround={t} />
      <Slips turnaround={t} />
      {/* What is still to come keeps its place, so that nothing jumps under a thumb. */}
      <div
        className={`${t.plan ? "" : "min-h-dvh "}grid items-start gap-3 min-[1000px]:grid-cols-[minmax(0,1fr)_22rem]`}
      >
        <div className="grid min-w-0 gap-3">
          <div className="flex flex-wrap items-center gap-2">
            <h2 className="flex-1 text-xl max-[640px]:basis-full">Now, and then</h2>
            <Button look="quiet" onClick={() => setOpen("calendar")}>
              <CalendarDays aria-hidden className="size-5" /> Calendar
            </Button>
            <Button look="quiet" onClick={() => setOpen("team")}>
              <Users aria-hidden className="size-5" /> Who is there
            </Button>
            <Button onClick={() => setOpen({ order: "new" })}>
              <Plus aria-hidden className="size-5" /> A part
            </Button>
            <Button onClick={() => setOpen({ task: "new" })}>
              <Plus aria-hidden className="size-5" /> A task
            </Button>
          </div>
          <Hands turnaround={t} onEdit={edit} />
          <Lanes turnaround={t} onEdit={edit} />
        </div>
        <SidePart
          turnaround={t}
          onTask={edit}
          onOrder={(order) => setOpen({ order })}
          onDue={(due) => setOpen({ order: "new", due })}
        />
      </div>
      {open === "truck" && <TruckForm turnaround={t} onClose={close} />}
      {open === "calendar" && <CalendarSheet onClose={close} />}
      {open === "team" && <TeamForm turnaround={t} onClose={close} />}
      {open && typeof open === "object" && "task" in open && (
        <TaskForm turnaround={t} task={open.task === "new" ? undefined : open.task} onClose={close} />
      )}
      {open && typeof open === "object" && "order" in open && (
        <OrderForm
          order={open.order === "new" ? undefined : open.order}
          start={
            open.due && { kindId: open.due.kindId, engineId: open.due.engineId, count: open.due.lacking }
          }
          tasks={waitingTasks(t)}
          onClose={close}
        />
      )}
    </div>
  );
}

function Head({ turnaround: t, onTruck }: { turnaround: Turnaround; onTruck: () => void }) {
  const is = standing(t);
  const style = STANDINGS[is];
  const late = (t.plan?.late ?? [])
    .map((id) => t.tasks.find((x) => x.id === id))
    .filter((x) => x !== undefined);
  return (
    <section
      className="scribed flex flex-wrap items-center gap-x-6 gap-y-2 rounded p-4"
      aria-label="The truck"
    >
      <div className="min-w-72 flex-1">
        <h1 className={`text-3xl ${style.tone}`}>
          {style.shape} {standingWords(t, is)}
        </h1>
        <p className="min-h-6 text-muted">
          {is === "LATE"
            ? late.map((x) => `${taskWords(x)} ${engineName(t, x.engineId)}`).join("; ")
            : chanceWords(t.plan?.chance)}
          {t.plan && !t.plan.best && is !== "DONE" && "; an earlier end may be possible"}
        </p>
      </div>
      <div className="flex items-center gap-3">
        <p className="text-right">
          {t.truck ? (
            <>
              <span className="num text-2xl">
                {day(t.truck.leaves)} {t.truck.leaves.slice(11, 16)}
              </span>
              <span className="block text-sm text-muted">
                {t.truck.assumed ? "the evening before the next event" : (t.truck.name ?? "the truck leaves")}
              </span>
            </>
          ) : (
            <span className="text-muted">no event is planned</span>
          )}
        </p>
        <Button onClick={onTruck}>
          <Truck aria-hidden className="size-5" />{" "}
          {t.truck?.assumed === false ? "Truck" : "When does it leave?"}
        </Button>
      </div>
    </section>
  );
}

/** Every engine in one line. */
function Engines({ turnaround: t }: { turnaround: Turnaround }) {
  return (
    <ul className="grid grid-cols-[repeat(auto-fit,minmax(18rem,1fr))] gap-2" aria-label="Engines">
      {t.engines.map((e) => {
        const { shape, tone, word } = STATES[e.state];
        return (
          <li key={e.id}>
            <Link
              to="/engines/$id"
              params={{ id: e.id }}
              className="scribed flex min-h-11 items-center gap-3 rounded px-3 py-1 no-underline hover:bg-raised"
            >
              <span className="font-bold">{e.name}</span>
              <span className={`font-semibold whitespace-nowrap ${tone}`}>
                {shape} {word}
              </span>
              <span className="flex flex-1 items-center justify-end gap-2 whitespace-nowrap text-sm text-muted">
                {e.rides && t.truck && <Truck className="size-4" aria-label="on this truck" />}
                {e.eventOn ? day(e.eventOn) : "no event"}
              </span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
