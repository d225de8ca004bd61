import type { UseFormReturn } from "react-hook-form";
import type { FlightReport } from "@/api/queries";
import { lengthSign } from "@/domain/reader";
import { Card } from "@/ui/card";
import { ChoiceRow, LengthRow, TextRow } from "./rows";
import { AIRS, AIR_WORDS, WINDS, WIND_WORDS } from "./schema";
import { say } from "@/words/generated/flightlog";

interface Props {
  form: UseFormReturn<FlightReport>;
  /** Names of the packs the model flies with. */
  packs: string[];
}

/** What a flight has besides its trims: day, weather, field, pack, balance point, goal, remarks. */
export function DayCard({ form, packs }: Props) {
  const { control, register, formState } = form;
  const { errors } = formState;
  return (
    <Card title={say("flightEntryPage.theDay")}>
      <div className="space-y-3">
        <TextRow
          label={say("flightEntryPage.flownOn")}
          type="date"
          error={errors.flownOn?.message}
          {...register("flownOn")}
        />
        <ChoiceRow
          control={control}
          name="wind"
          label={say("flightEntryPage.wind")}
          options={WINDS.map((one) => [one, WIND_WORDS[one]] as const)}
          error={errors.wind?.message}
        />
        <ChoiceRow
          control={control}
          name="air"
          label={say("flightEntryPage.air")}
          options={AIRS.map((one) => [one, AIR_WORDS[one]] as const)}
          error={errors.air?.message}
        />
        <TextRow
          label={say("flightEntryPage.field")}
          error={errors.field?.message}
          {...register("field")}
        />
        <TextRow
          label={say("flightEntryPage.battery")}
          list="packs"
          error={errors.battery?.message}
          {...register("battery")}
        />
        <datalist id="packs">
          {packs.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        <LengthRow
          control={control}
          name="cgMm"
          label={say("flightEntryPage.balancePointAftDatum", { lengthSign: lengthSign() })}
          error={errors.cgMm?.message}
        />
        <TextRow
          label={say("flightEntryPage.goalOfTheFlight")}
          error={errors.goal?.message}
          {...register("goal")}
        />
        <TextRow
          label={say("flightEntryPage.remarks")}
          error={errors.remarks?.message}
          {...register("remarks")}
        />
      </div>
    </Card>
  );
}
