/** A page as lines of text: what stands where, under which heading, in which row, in which field. */

const INLINE = new Set([
  "A",
  "B",
  "CODE",
  "EM",
  "I",
  "KBD",
  "LABEL",
  "SMALL",
  "SPAN",
  "STRONG",
  "SUB",
  "SUP",
  "TIME",
  "TSPAN",
]);
const LEFT_OUT = new Set(["SCRIPT", "STYLE", "NOSCRIPT"]);
const CONTROLS = new Set(["checkbox", "radio", "switch", "slider", "tab", "combobox", "button"]);
const STATES = [
  "checked",
  "selected",
  "pressed",
  "expanded",
  "disabled",
  "current",
  "invalid",
  "valuenow",
];

const squeezed = (text: string) => text.replace(/\s+/g, " ").trim();

const nameOf = (one: Element): string => {
  const by = one.getAttribute("aria-labelledby");
  const labels = (one as HTMLInputElement).labels;
  return squeezed(
    one.getAttribute("aria-label") ??
      (by === null
        ? labels && labels.length > 0
          ? [...labels].map((label) => label.textContent).join(" ")
          : ""
        : by
            .split(" ")
            .map((id) => document.getElementById(id)?.textContent ?? "")
            .join(" ")),
  );
};

const statesOf = (one: Element): string =>
  STATES.flatMap((state) => {
    const value = one.getAttribute(`aria-${state}`);
    return value === null || value === "false"
      ? []
      : [value === "true" ? state : `${state} ${value}`];
  })
    .concat((one as HTMLButtonElement).disabled ? ["disabled"] : [])
    .join(" ");

/** The line of something that is pressed, chosen or typed into. */
function control(one: Element): string | undefined {
  const role = one.getAttribute("role") ?? one.tagName.toLowerCase();
  const states = statesOf(one);
  const after = states === "" ? "" : ` {${states}}`;
  if (one instanceof HTMLInputElement || one instanceof HTMLTextAreaElement) {
    const value =
      one instanceof HTMLInputElement && one.type === "checkbox" ? one.checked : one.value;
    return `<${one.type || role}> ${nameOf(one)} = ${value}${after}`;
  }
  if (CONTROLS.has(role)) {
    const name = nameOf(one);
    const text = squeezed(one.textContent);
    return `<${role}> ${name}${text === name ? "" : ` ${text}`}${after}`.trimEnd();
  }
  return undefined;
}

const PLACES = [
  "d",
  "points",
  "x",
  "y",
  "x1",
  "y1",
  "x2",
  "y2",
  "cx",
  "cy",
  "r",
  "rx",
  "ry",
  "width",
  "height",
  "transform",
  "viewBox",
];

/** A drawing in a word: how many shapes, and one that is another wherever one of them is moved. */
function drawn(picture: Element): string {
  const shapes = [picture, ...picture.querySelectorAll("*")].map((shape) =>
    PLACES.map((place) => shape.getAttribute(place) ?? "").join(" "),
  );
  let mark = 0;
  for (const char of shapes.join("|")) {
    mark = (mark * 31 + char.charCodeAt(0)) >>> 0;
  }
  return `~ ${shapes.length} shapes ${mark.toString(36)}`;
}

export function outline(root: Element): string {
  const lines: string[] = [];
  let line = "";
  const end = () => {
    if (squeezed(line) !== "") {
      lines.push(squeezed(line));
    }
    line = "";
  };
  const children = (one: Element) => {
    for (const part of one.childNodes) {
      if (part.nodeType === Node.TEXT_NODE) {
        line += part.textContent;
      } else if (part.nodeType === Node.ELEMENT_NODE) {
        visit(part as Element);
      }
    }
  };
  const visit = (one: Element): void => {
    const tag = one.tagName.toUpperCase();
    if (LEFT_OUT.has(tag)) {
      return;
    }
    const pressed = control(one);
    if (pressed !== undefined) {
      end();
      lines.push(pressed);
      return;
    }
    if (tag === "TR") {
      end();
      lines.push([...one.children].map((cell) => outline(cell).replace(/\n/g, "; ")).join(" | "));
      return;
    }
    if (INLINE.has(tag)) {
      children(one);
      if (tag === "A") {
        line += ` → ${one.getAttribute("href") ?? ""} `;
      }
      return;
    }
    end();
    const label = one.getAttribute("aria-label") ?? one.getAttribute("title");
    line =
      (/^H[1-6]$/.test(tag) ? "#".repeat(Number(tag[1])) + " " : "") +
      (label === null ? "" : `(${label}) `);
    children(one);
    end();
    if (tag === "SVG" && !one.classList.contains("lucide")) {
      lines.push(drawn(one));
    }
  };
  children(root);
  end();
  return lines.join("\n");
}
