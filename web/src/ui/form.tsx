import type { ComponentProps } from "react";
import {
  Controller,
  type Control,
  type FieldPathByValue,
  type FieldValues,
  type UseFormReturn,
} from "react-hook-form";
import { Choice } from "./choice";
import { Failure } from "./message";
import { TextLine } from "./text-line";

type Attributes = Omit<ComponentProps<"form">, "onSubmit">;

interface EnterProps extends Attributes {
  send: () => void;
}

/** Around fields of a document that is edited in place: Enter sends. */
export function Enter({ send, ...form }: EnterProps) {
  return (
    <form
      {...form}
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    />
  );
}

interface FormProps<T extends FieldValues> extends Attributes {
  form: UseFormReturn<T>;
  send: (filled: T) => void;
  /** What it is sent with, to say below the form what went wrong. */
  by?: { error: Error | null };
}

/** The one way of forms: what is filled in is held by `form`, and sent as it stands. */
export function Form<T extends FieldValues>({ form, send, by, ...rest }: FormProps<T>) {
  return (
    <>
      <form {...rest} onSubmit={(event) => void form.handleSubmit(send)(event)} />
      {by?.error != null && <Failure error={by.error} />}
    </>
  );
}

interface FieldProps<T extends FieldValues> {
  control: Control<T>;
  name: FieldPathByValue<T, string>;
}

/** A line of a form. */
export function LineField<T extends FieldValues>({
  control,
  name,
  ...line
}: FieldProps<T> & Omit<ComponentProps<typeof TextLine>, "value" | "onValue" | "name">) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { ref, value, onChange, onBlur } }) => (
        <TextLine {...line} ref={ref} value={value} onValue={onChange} onBlur={onBlur} />
      )}
    />
  );
}

/** One of a few values in a form. */
export function PickField<T extends FieldValues>({
  control,
  name,
  ...choice
}: FieldProps<T> & Omit<ComponentProps<typeof Choice<string>>, "value" | "onValue">) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange } }) => (
        <Choice {...choice} value={value as string} onValue={onChange} />
      )}
    />
  );
}

/** Empties what was sent; what has been typed since then stays. */
export function emptySent<T extends FieldValues>(
  form: UseFormReturn<T>,
  sent: T,
  ...names: FieldPathByValue<T, string>[]
) {
  names
    .filter((name) => form.getValues(name) === sent[name])
    .forEach((name) => form.resetField(name, { defaultValue: "" as never }));
}
