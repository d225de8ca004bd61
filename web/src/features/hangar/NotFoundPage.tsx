import { Link } from "react-router";
import { buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";
import { say } from "@/words/generated/hangar";

/** An address that leads nowhere. */
export function NotFoundPage() {
  return (
    <Card className="mx-auto mt-6 max-w-xl">
      <h1 className="mb-2 text-xl">{say("notFoundPage.title")}</h1>
      <p className="mb-4">{say("notFoundPage.perhapsMistyped")}</p>
      <Link to="/" className={buttonClass("main")}>
        {say("notFoundPage.toTheHangar")}
      </Link>
    </Card>
  );
}
