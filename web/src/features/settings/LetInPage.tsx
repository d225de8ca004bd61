import { useForm, useWatch } from "react-hook-form";
import { Link, useLocation } from "react-router";
import { useHere, useLetIn } from "@/api/devices";
import { buttonClass, Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Form } from "@/ui/form";
import { Failed } from "@/ui/message";
import { Say, say } from "@/words/generated/settings";

/** What a device is called until the pilot names it. */
const usual = () =>
  /iPad|Tablet/i.test(navigator.userAgent) ? say("letInPage.tablet") : say("letInPage.phone");

/** Lets the device it is opened on in: by a code that was scanned, or typed. */
export function LetInPage() {
  const { hash } = useLocation();
  const form = useForm({ defaultValues: { code: hash.slice(1), name: usual() } });
  const { code, name } = useWatch({ control: form.control });
  const here = useHere();
  const letIn = useLetIn();
  const inside = letIn.data !== undefined || (here.data?.device ?? "") !== "";
  const line = "h-12 w-full rounded-card border border-line-strong bg-sheet px-3 text-lg";
  return (
    <div className="mx-auto max-w-md space-y-4 p-4">
      <h1 className="text-2xl">{say("letInPage.title")}</h1>
      <Failed of={[here]} />
      {here.data?.host === true && (
        <Card>
          <p>
            <Say
              id="letInPage.hostNeedsNone"
              values={{
                link: (words) => (
                  <Link to="/settings" className="underline">
                    {words}
                  </Link>
                ),
              }}
            />
          </p>
        </Card>
      )}
      {inside ? (
        <Card>
          <p role="status" className="mb-3 text-lg font-medium text-done">
            {say("letInPage.inside")}
          </p>
          <Link to="/" className={buttonClass("main", true)}>
            {say("letInPage.toTheHangar")}
          </Link>
        </Card>
      ) : (
        <Card>
          <Form
            form={form}
            className="space-y-4"
            send={(filled) => letIn.mutate(filled)}
            by={letIn}
          >
            <label className="block">
              <span className="mb-1 block">{say("letInPage.code")}</span>
              <input
                className={`${line} figures tracking-widest uppercase`}
                maxLength={20}
                autoComplete="off"
                {...form.register("code")}
              />
            </label>
            <label className="block">
              <span className="mb-1 block">{say("letInPage.name")}</span>
              <input className={line} maxLength={60} {...form.register("name")} />
            </label>
            <Button
              type="submit"
              look="main"
              large
              className="w-full"
              disabled={letIn.isPending || !code?.trim() || !name?.trim()}
            >
              {say("letInPage.getAccess")}
            </Button>
          </Form>
        </Card>
      )}
    </div>
  );
}
