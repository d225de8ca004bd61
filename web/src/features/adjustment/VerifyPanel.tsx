import { length, lengthFigure, lengthSign, typedLength } from "@/domain/reader";
import { useForm } from "react-hook-form";
import { type OpenAdjustment } from "@/api/queries";
import { useVerify } from "@/api/field-work";
import { wayWords, type Control } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Form, LineField } from "@/ui/form";
import { Say, say } from "@/words/generated/adjustment";
import { told } from "@/words/generated/enums";

type Expected = OpenAdjustment["verification"][number];

/** At the end: every stick to its ends, the way seen, and the throws where a ruler is at hand. */
export function VerifyPanel({ open }: { open: OpenAdjustment }) {
  return (
    <ul className="mt-5 divide-y divide-line border-t border-line" data-verify>
      {open.verification.map((one) => (
        <Surface key={one.surface + one.by} open={open} expected={one} />
      ))}
    </ul>
  );
}

const stick = (by: string) => (by === "" ? "" : `, ${told("Control", by as Control)}`);

function Surface({ open, expected }: { open: OpenAdjustment; expected: Expected }) {
  const { standing, draft } = useModel();
  const verify = useVerify(standing.id);
  const seen = expected.measured ?? undefined;
  const ruled = seen?.measured === true ? seen : undefined;
  const form = useForm({
    defaultValues: {
      plus: ruled === undefined ? "" : lengthFigure(ruled.plusMm, 1),
      minus: ruled === undefined ? "" : lengthFigure(ruled.minusMm, 1),
    },
  });
  const way = draft.present.surfaces.find((one) => one.id === expected.surface) ?? false;
  const [up, down] = wayWords(way);
  const save = (rightWay: boolean) => {
    const typed = form.getValues(["plus", "minus"]).map(typedLength);
    const measured = typed.every(Number.isFinite);
    const [plusMm = 0, minusMm = 0] = measured ? typed : [];
    const { surface, by } = expected;
    verify.mutate({
      version: open.version,
      verified: { surface, by, rightWay, measured, plusMm, minusMm },
    });
  };
  return (
    <li className="py-3" data-verify-surface={expected.surface} data-by={expected.by}>
      <p className="text-lg">
        <Say
          id="verifyPanel.firstExpected"
          values={{
            b: <strong>{expected.name}</strong>,
            how: expected.how,
            first: told("Way", expected.first),
            length: length(expected.plusMm, 1),
            up,
            lengthOther: length(expected.minusMm, 1),
            down,
            span: (words) => <span className="figures text-soft">{words}</span>,
          }}
        />
      </p>
      <Form
        form={form}
        className="flex flex-wrap items-end gap-2"
        send={() => save(true)}
        by={verify}
      >
        <LineField
          control={form.control}
          name="plus"
          label={`${expected.name}${stick(expected.by)}, ${lengthSign()} ${up}`}
          inputMode="decimal"
          width="w-36"
        />
        <LineField
          control={form.control}
          name="minus"
          label={`${expected.name}${stick(expected.by)}, ${lengthSign()} ${down}`}
          inputMode="decimal"
          width="w-36"
        />
        <Button type="submit" disabled={verify.isPending}>
          {say("verifyPanel.correctWay")}
        </Button>
        <Button look="warn" onClick={() => save(false)} disabled={verify.isPending}>
          {say("verifyPanel.wrongWay")}
        </Button>
      </Form>
      {expected.measured != null && expected.words !== "" && (
        <p
          role="status"
          className={`font-medium ${expected.fits ? "text-done" : "text-grounded"}`}
          data-fits={expected.fits}
        >
          {expected.words}
        </p>
      )}
      {verify.isSuccess && verify.data === undefined && (
        <p role="status" data-unjudged>
          {say("verifyPanel.checkedLater")}
        </p>
      )}
    </li>
  );
}
