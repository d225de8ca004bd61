import { useHere } from "@/api/devices";
import { Failure } from "@/ui/message";
import { DisplayCard } from "./DisplayCard";
import { PhonesCard } from "./PhonesCard";
import { say } from "@/words/generated/settings";

/** How this browser shows things, and who may come in from the network. */
export function SettingsPage() {
  const here = useHere();
  return (
    <div className="mx-auto max-w-3xl space-y-4 p-4 sm:p-6">
      <h1 className="text-2xl">{say("settingsPage.settings")}</h1>
      <DisplayCard />
      {here.isError && <Failure error={here.error} />}
      {here.data !== undefined && <PhonesCard here={here.data} />}
    </div>
  );
}
