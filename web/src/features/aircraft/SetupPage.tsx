import { BenchBeside } from "@/features/bench/BenchBeside";
import { useBench } from "@/features/bench/store";
import { ContactsCard } from "./ContactsCard";
import { ChannelMap } from "./ChannelMap";
import { FindingsCard } from "@/features/bench/FindingsCard";
import { ProgramPanel } from "./ProgramPanel";
import { RigPanel } from "./RigPanel";
import { useModel } from "@/features/model/model";

export const RigSetupPage = () => <SetupPage part="rig" />;
export const ProgramSetupPage = () => <SetupPage part="program" />;

/** A model's page: the channel map, the selected surface's rig or program, and the bench beside it. */
function SetupPage({ part }: { part: "rig" | "program" }) {
  const { draft } = useModel();
  const selected = useBench((state) => state.selected);
  const index = draft.present.surfaces.findIndex((surface) => surface.id === selected);
  return (
    <div className="grid gap-4 lg:grid-cols-[250px_minmax(0,1fr)_380px]">
      <div className="space-y-3">
        <FindingsCard />
        <ChannelMap />
      </div>
      <div className="min-w-0 space-y-3">
        {index >= 0 &&
          (part === "rig" ? (
            <>
              <RigPanel key={selected} index={index} />
              <ContactsCard />
            </>
          ) : (
            <ProgramPanel key={selected} index={index} />
          ))}
      </div>
      <BenchBeside />
    </div>
  );
}
