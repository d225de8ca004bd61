import { Link } from "react-router";
import { buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";

/** An address that leads nowhere. */
export function NowherePage() {
  return (
    <Card className="mx-auto mt-6 max-w-xl">
      <h1 className="mb-2 text-xl">That page does not exist</h1>
      <p className="mb-4">
        That page does not exist. The address may be mistyped, or from an older High Tally.
      </p>
      <Link to="/" className={buttonClass("main")}>
        To the hangar
      </Link>
    </Card>
  );
}
