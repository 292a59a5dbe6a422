interface DoneCountProps {
  done: number;
  all: number;
  /** What is counted: valves, springs. */
  of: string;
}

/** How far one is: 3/16. */
export function DoneCount({ done, all, of }: DoneCountProps) {
  return (
    <span className="num text-2xl" role="status" aria-label={`${done} of ${all} ${of} done`}>
      {done}/{all}
    </span>
  );
}
