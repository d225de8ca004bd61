import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { readSetupFile, useAddAircraft } from "@/api/queries";
import { Silhouette } from "@/features/hangar/Silhouette";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { ArchiveCard } from "./ArchiveCard";
import { say } from "@/words/generated/transfer";

/** Reads a setup file, shows what is in it, and adds it as a new model if the pilot wants it. */
export function BringInPage() {
  const [name, setName] = useState("");
  const read = useMutation({
    mutationFn: async (file: File) => {
      setName(file.name);
      return readSetupFile(await file.text());
    },
  });
  const add = useAddAircraft();
  const navigate = useNavigate();
  const setup = read.data;
  return (
    <div className="mx-auto max-w-3xl space-y-4 p-4 sm:p-6">
      <h1 className="text-2xl">{say("bringInPage.title")}</h1>
      <Card title={say("bringInPage.file")}>
        <label className="block">
          <span className="mb-2 block">{say("bringInPage.hint")}</span>
          <input
            type="file"
            accept=".json,.yaml,.yml,application/json"
            className="w-full rounded-card border border-dashed border-line-strong bg-inset p-5"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) {
                read.mutate(file);
              }
            }}
          />
        </label>
      </Card>
      {read.isError && (
        <>
          <p className="font-medium">{say("bringInPage.leftOut", { name })}</p>
          <Failure error={read.error} />
        </>
      )}
      {setup !== undefined && (
        <Card title={setup.name} aside={<span className="text-soft">{setup.airframe.kind}</span>}>
          <div className="grid gap-4 sm:grid-cols-[240px_1fr]">
            <Silhouette setup={setup} />
            <div className="space-y-3">
              <p>
                {say("bringInPage.counts", {
                  channels: setup.channels.length,
                  servos: setup.servos.length,
                  surfaces: setup.surfaces.length,
                })}
              </p>
              <p className="text-soft">{setup.notes}</p>
              {add.isError && <Failure error={add.error} />}
              <Button
                look="main"
                disabled={add.isPending}
                onClick={() =>
                  add.mutate(
                    { reason: say("bringInPage.importedFrom", { name }).slice(0, 300), setup },
                    { onSuccess: ({ id }) => void navigate(`/models/${id}/rig`) },
                  )
                }
              >
                {say("bringInPage.add")}
              </Button>
            </div>
          </div>
        </Card>
      )}
      <ArchiveCard />
    </div>
  );
}
