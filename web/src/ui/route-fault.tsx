import { isRouteErrorResponse, Link, useRouteError } from "react-router";
import { Button, buttonClass } from "./button";

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
          ? "That page does not exist"
          : lost
            ? "This page could not be loaded"
            : "This page has a fault"}
      </h1>
      <p className="mb-4">
        {missing
          ? "That page does not exist."
          : lost
            ? "High Tally did not answer. Is it still running?"
            : "This is a fault in High Tally, not your mistake. Nothing you typed is lost: your changes are kept and the other pages work."}
      </p>
      <div className="flex flex-wrap gap-2">
        {!missing && (
          <Button look="main" onClick={() => location.reload()}>
            Load it again
          </Button>
        )}
        <Link to="/" className={buttonClass("plain")}>
          To the hangar
        </Link>
      </div>
    </section>
  );
}
