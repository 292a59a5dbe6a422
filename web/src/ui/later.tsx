import { type ComponentType, lazy, Suspense } from "react";

const AGAIN_MS = 1_000;
const LONGEST_MS = 8_000;
const AT_REST_MS = 10_000;

type Pause = (ms: number) => Promise<unknown>;

/** Parts of the application that have not been asked for yet; see `fetchTheRest`. */
const toCome: (() => Promise<unknown>)[] = [];

const wait: Pause = (ms) => new Promise((done) => setTimeout(done, ms));

/**
 * Brings a part of the application over the line, however often the line drops. Where Shim answers
 * but is another build, its parts have other names: the page begins anew with those.
 */
export async function overTheLine<T>(
  bring: () => Promise<T>,
  isAnother: () => Promise<boolean> = anotherBuild,
  beginAnew: () => void = () => location.reload(),
  pause: Pause = wait,
): Promise<T> {
  for (let ms = AGAIN_MS; ; ms = Math.min(ms * 2, LONGEST_MS)) {
    try {
      return await bring();
    } catch {
      if (await isAnother()) beginAnew();
      await pause(ms);
    }
  }
}

/** Whether the Shim that answers is another build than this page; no, when it does not answer. */
async function anotherBuild(): Promise<boolean> {
  const ours = document.querySelector<HTMLScriptElement>("script[type=module][src]")?.src;
  try {
    const page = await fetch("/", { cache: "no-store" });
    return page.ok && ours !== undefined && !(await page.text()).includes(new URL(ours).pathname);
  } catch {
    return false;
  }
}

/** A part of the application that is fetched when it is first needed, or once the page is at rest. */
export function fetched<M>(bring: () => Promise<M>): () => Promise<M> {
  const wanted = () => overTheLine(bring);
  toCome.push(wanted);
  return wanted;
}

/** A component that no first look at its page needs: a form behind a button, what lies far below. */
export function later<N extends string, P extends object>(
  bring: () => Promise<{ [K in N]: ComponentType<P> }>,
  name: N,
): ComponentType<P> {
  const wanted = fetched(bring);
  const Fetched: ComponentType<P> = lazy(() =>
    wanted().then((all) => ({ default: all[name] as ComponentType<P> })),
  );
  return (props: P) => (
    <Suspense fallback={null}>
      <Fetched {...props} />
    </Suspense>
  );
}

/** What no page waits for begins once the page shown is at rest: it would take its line and processor. */
export const atRest = () => wait(AT_REST_MS);

/**
 * All other parts come one after another, so that each opens at the car although the line may have
 * dropped meanwhile.
 */
export async function fetchTheRest(pause: Pause = wait) {
  for (const next of toCome.splice(0)) {
    await next();
    await pause(0);
  }
}
