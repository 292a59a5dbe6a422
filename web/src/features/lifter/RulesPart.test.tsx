import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { fireEvent, render } from "@testing-library/react";
import { expect, it } from "vitest";
import { SettingsProvider } from "../../shell/settings";
import { RulesPart } from "./RulesPart";

it("brings its form when it is opened, and keeps what is typed when it is closed again", async () => {
  const page = render(
    <SettingsProvider>
      <QueryClientProvider client={new QueryClient()}>
        <RulesPart engineId="e" rules={{ rollerSolidHours: 40, flatHours: 60, hydraulicHours: 80 }} />
      </QueryClientProvider>
    </SettingsProvider>,
  );
  const part = page.getByText("Intervals and limits").closest("details") as HTMLDetailsElement;
  // Long enough for a form that was asked for.
  await import("./RulesForm");
  await new Promise((done) => setTimeout(done, 50));
  expect(page.queryByLabelText(/Flat tappets/)).toBeNull();
  const turn = (open: boolean) => {
    part.open = open;
    fireEvent(part, new Event("toggle"));
  };
  turn(true);
  const box = (await page.findByLabelText(/Flat tappets/)) as HTMLInputElement;
  expect(box.value).toBe("60");
  fireEvent.change(box, { target: { value: "75" } });
  turn(false);
  turn(true);
  expect((page.getByLabelText(/Flat tappets/) as HTMLInputElement).value).toBe("75");
});
