import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";

interface ConnectSheetProps<T> {
  /** What it is called: tester, dial. */
  noun: string;
  suggested?: string;
  serialPorts: string[];
  connect: (to: Schemas["Connection"]) => Promise<T>;
  onConnected: (now: T) => void;
  onClose: () => void;
}

/** Where to find an instrument: on the network or on a serial port. */
export function ConnectSheet<T>(props: ConnectSheetProps<T>) {
  const { noun, suggested, serialPorts, connect, onConnected, onClose } = props;
  const [wire, setWire] = useState<"TCP" | "SERIAL">("TCP");
  const [address, setAddress] = useState(suggested ?? "");
  const send = useMutation({
    mutationFn: () => connect({ wire, address }),
    onSuccess: (now) => {
      onConnected(now);
      onClose();
    },
  });
  return (
    <Sheet open onClose={onClose} title={`Connect a ${noun}`}>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          send.mutate();
        }}
      >
        <Choice
          label="How it is wired"
          value={wire}
          onChange={setWire}
          options={[
            ["TCP", "network"],
            ["SERIAL", "serial port"],
          ]}
        />
        <Field
          label={wire === "TCP" ? "Address, host:port" : "Port"}
          value={address}
          onChange={(e) => setAddress(e.target.value)}
          hint={
            wire === "SERIAL"
              ? serialPorts.length > 0
                ? `ports here: ${serialPorts.join(", ")}`
                : "no serial port was found on the machine Shim runs on"
              : undefined
          }
          error={send.error?.message}
        />
        <Button look="now" type="submit">
          Connect
        </Button>
      </form>
    </Sheet>
  );
}
