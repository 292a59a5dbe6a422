import { useMutation } from "@tanstack/react-query";
import { answered, api, wordsOf } from "../../api/client";
import { useSettings } from "../../shell/settings";
import type { Task } from "./board";

/** What can be said of a task with one press. */
export function useTask(task: Task) {
  const { hand } = useSettings();
  const keep = useMutation({
    mutationFn: (change: Partial<Task["sheet"]>) =>
      answered(
        api.PUT("/api/turnaround/tasks", {
          body: {
            id: task.id,
            task: { ...task.sheet, ...change },
            ...(task.version !== undefined && { basedOn: task.version }),
            ...(hand !== "" && { hand }),
          },
        }),
      ),
  });
  return {
    begin: (hands: string[]) => keep.mutate({ begunAt: new Date().toISOString(), begunBy: hands }),
    done: () => keep.mutate({ doneAt: new Date().toISOString(), ...(hand !== "" && { doneBy: hand }) }),
    trouble: wordsOf(keep.error),
  };
}
