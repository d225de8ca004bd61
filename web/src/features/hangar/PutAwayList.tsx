import { Link } from "react-router";
import { usePut, usePutAway } from "@/api/places";
import { day } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Fold } from "@/ui/fold";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/hangar";

/** Models that are archived or deleted, and the way back. */
export function PutAwayList() {
  const away = usePutAway();
  const put = usePut();
  if (away.data === undefined || away.data.length === 0) {
    return null;
  }
  const deleted = away.data.filter((one) => one.place === "DELETED").length;
  const aside = away.data.filter((one) => one.place === "SET_ASIDE").length;
  const words = [
    ...(aside > 0 ? [say("putAwayList.archived", { aside })] : []),
    ...(deleted > 0 ? [say("putAwayList.deleted", { deleted })] : []),
  ].join(", ");
  return (
    <Card className="mt-4">
      <Fold title={words}>
        <ul className="divide-y divide-line">
          {away.data.map((one) => (
            <li
              key={one.id}
              className="flex flex-wrap items-center justify-between gap-2 py-2"
              data-put-away={one.name}
            >
              <span>
                <Link to={`/models/${one.id}/rig`} className="font-semibold underline">
                  {one.name}
                </Link>{" "}
                <span className="text-soft">
                  {one.place === "DELETED"
                    ? say("putAwayList.deletedUntil", {
                        day: day(one.since),
                        dayOther: day(one.gone ?? one.since),
                      })
                    : say("putAwayList.archivedOn", { day: day(one.since) })}
                </span>
              </span>
              <Button
                disabled={put.isPending}
                onClick={() => put.mutate({ id: one.id, place: "IN_USE" })}
              >
                {say("putAwayList.bringBack", { name: one.name })}
              </Button>
            </li>
          ))}
        </ul>
        {put.isError && <Failure error={put.error} />}
      </Fold>
    </Card>
  );
}
