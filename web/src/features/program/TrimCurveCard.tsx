import { typed } from "@/domain/reader";
import { useMutation } from "@tanstack/react-query";
import { Plus } from "lucide-react";
import { useState } from "react";
import { answered, api, type Schemas } from "@/api/client";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Chart } from "@/ui/chart";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/program";

/** Trims flown at several settings become the points of the mix that makes them unnecessary. */
export function TrimCurveCard() {
  const { draft, change } = useModel();
  const mixes = draft.present.mixes;
  const [rows, setRows] = useState([
    ["0", "0"],
    ["100", "0"],
  ] as [string, string][]);
  const [mix, setMix] = useState(mixes[0]?.id ?? "");
  const index = mixes.findIndex((one) => one.id === mix);
  const make = useMutation({
    mutationFn: (body: Schemas["TrimCurveAsked"]) =>
      answered(api.POST("/api/program/trim-curve", { body })),
  });
  const set = (i: number, part: [string, string]) =>
    setRows(rows.map((one, other) => (other === i ? part : one)));
  const present = mixes[index]?.curve ?? [];
  return (
    <Card title={say("trimCurveCard.title")}>
      <p className="mb-2 text-sm text-soft">{say("trimCurveCard.hint")}</p>
      {rows.map(([setting, clicks], i) => (
        <div key={i} className="flex gap-3">
          <TextLine
            label={say("trimCurveCard.setting", { i: i + 1 })}
            width="w-28"
            inputMode="decimal"
            value={setting}
            onValue={(value) => set(i, [value, clicks])}
          />
          <TextLine
            label={say("trimCurveCard.trimClicks", { i: i + 1 })}
            width="w-28"
            inputMode="decimal"
            value={clicks}
            onValue={(value) => set(i, [setting, value])}
          />
        </div>
      ))}
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <Button onClick={() => setRows([...rows, ["", "0"]])}>
          <Plus aria-hidden size={15} /> {say("trimCurveCard.addSetting")}
        </Button>
        <Button
          look="main"
          onClick={() =>
            make.mutate({
              flown: rows.map(([setting, clicks]) => ({
                settingPercent: typed(setting),
                clicks: typed(clicks),
              })),
              referencePercent: typed(rows[0]?.[0] ?? ""),
              clickStepPercent: draft.present.transmitter.clickStepPercent,
            })
          }
        >
          {say("trimCurveCard.calculate")}
        </Button>
      </div>
      {make.isError && <Failure error={make.error} />}
      {make.data !== undefined && (
        <div className="mt-3 space-y-2">
          <Chart
            label={say("trimCurveCard.curve")}
            xLabel={say("trimCurveCard.settingAxis")}
            yLabel={say("trimCurveCard.command")}
            height={180}
            lines={[
              {
                name: say("trimCurveCard.name"),
                xs: make.data.map((p) => p.x),
                ys: make.data.map((p) => p.y),
              },
              ...(present.length > 1
                ? [
                    {
                      name: say("trimCurveCard.today"),
                      xs: present.map((p) => p.x),
                      ys: present.map((p) => p.y),
                    },
                  ]
                : []),
            ]}
          />
          {mixes.length > 0 && (
            <div className="flex flex-wrap items-end gap-2">
              <Choice
                label={say("trimCurveCard.intoMix")}
                value={mix}
                onValue={setMix}
                options={mixes.map((one) => [one.id, one.name] as const)}
              />
              <Button
                disabled={index < 0}
                onClick={() =>
                  change({ type: "edit", path: ["mixes", index, "curve"], value: make.data })
                }
              >
                {say("trimCurveCard.takeIt")}
              </Button>
            </div>
          )}
        </div>
      )}
    </Card>
  );
}
