import { isRouteErrorResponse, Link, useRouteError } from "react-router";
import { Button, buttonClass } from "./button";
import { say } from "@/words/generated/ui";

/** What stands in the place of a page that failed; everything around it goes on. */
export function RouteFault() {
  const error = useRouteError();
  const missing = isRouteErrorResponse(error) && error.status === 404;
  const lost = error instanceof TypeError && /import|fetch/i.test(error.message);
  return (
    <section
      role="alert"
      className="mx-auto mt-6 max-w-2xl rounded-card border-2 border-grounded bg-sheet p-6"
    >
      <h1 className="mb-2 text-xl">
        {missing
          ? say("routeFault.notFound")
          : lost
            ? say("routeFault.notLoaded")
            : say("routeFault.title")}
      </h1>
      <p className="mb-4">
        {missing
          ? say("routeFault.notFoundSentence")
          : lost
            ? say("routeFault.noAnswer")
            : say("routeFault.notYours")}
      </p>
      <div className="flex flex-wrap gap-2">
        {!missing && (
          <Button look="main" onClick={() => location.reload()}>
            {say("routeFault.reload")}
          </Button>
        )}
        <Link to="/" className={buttonClass("plain")}>
          {say("routeFault.toTheHangar")}
        </Link>
      </div>
    </section>
  );
}
