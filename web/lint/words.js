/**
 * What a reader is told stands in the catalogue, nowhere in a page: no words between tags, in the
 * attributes a reader reads or hears, or in what decides between them.
 */
const READ = new Set([
  "alt",
  "aria-description",
  "aria-label",
  "description",
  "hint",
  "label",
  "placeholder",
  "title",
  "unit",
  "what",
  "words",
]);

/** At least two letters beside one another; units and signs have their own place. */
const WORD = /\p{L}{2,}/u;

/** Units are written alike in every language. */
const UNIT = /^[\s,%°]*(?:µs|mm|ms|Ncm|kB)[\s,%°]*$/u;

/** Through what an expression hands its own value on. */
const HANDED_ON = new Set(["ConditionalExpression", "LogicalExpression", "TemplateLiteral"]);

/** The end of a chain of calls that one of a list goes through: `list.map(…).join(…)`. */
const ended = (call) =>
  call.parent.type === "MemberExpression" && call.parent.parent.type === "CallExpression"
    ? ended(call.parent.parent)
    : call;

/** Whether a text goes on into what is shown, and is not compared or asked with. */
function shown(node) {
  const { parent } = node;
  if (parent.type === "ConditionalExpression" && parent.test === node) {
    return false;
  }
  if (
    HANDED_ON.has(parent.type) ||
    (parent.type === "BinaryExpression" && parent.operator === "+")
  ) {
    return shown(parent);
  }
  if (parent.type === "ArrowFunctionExpression" && parent.body === node) {
    return parent.parent.type === "CallExpression" && shown(ended(parent.parent));
  }
  if (parent.type === "JSXAttribute") {
    return READ.has(parent.name.name);
  }
  if (parent.type !== "JSXExpressionContainer") {
    return false;
  }
  return parent.parent.type !== "JSXAttribute" || READ.has(parent.parent.name.name);
}

/** A call that says something from the catalogue, alone or around. */
const said = (node) =>
  node?.type === "CallExpression" &&
  (["say", "told"].includes(node.callee.name) || node.arguments.some(said));

/** Whether a text stands where others like it are said: in a table of words by what they are for. */
function amongSaid(node) {
  const tuple = node.parent.type === "ArrayExpression" ? node.parent : undefined;
  const at = tuple?.elements.indexOf(node);
  const property = (tuple ?? node).parent;
  if (property.type !== "Property" || property.value !== (tuple ?? node)) {
    return false;
  }
  const others = property.parent.properties.filter(({ value }) =>
    said(tuple === undefined ? value : value?.elements?.[at]),
  );
  return others.length > 1;
}

/** The same in a list of rows. */
function amongSaidRows(node) {
  const row = node.parent.type === "ArrayExpression" ? node.parent : undefined;
  const rows = row?.parent.type === "ArrayExpression" ? row.parent.elements : [];
  const at = row?.elements.indexOf(node);
  return rows.some((one) => one !== row && said(one?.elements?.[at]));
}

/** What the nearest function around is called. */
function functionAround(node) {
  for (let at = node.parent; at; at = at.parent) {
    if (at.type === "FunctionDeclaration") {
      return at.id?.name ?? "";
    }
    if (at.type === "ArrowFunctionExpression" || at.type === "FunctionExpression") {
      return at.parent.type === "VariableDeclarator" ? (at.parent.id.name ?? "") : "";
    }
  }
  return "";
}

/** Whether a text is what a function gives back that is called after its words. */
function saidByWords(node) {
  const { parent } = node;
  if (parent.type === "ConditionalExpression" && parent.test !== node) {
    return saidByWords(parent);
  }
  const given =
    parent.type === "ReturnStatement" ||
    (parent.type === "ArrowFunctionExpression" && parent.body === node);
  return given && /words$/iu.test(functionAround(node));
}

export const inCatalogue = {
  create(context) {
    const look = (node, text) =>
      WORD.test(text) &&
      !UNIT.test(text) &&
      context.report({ node, message: "Words belong in the catalogue." });
    return {
      CallExpression: (node) =>
        ["toLowerCase", "toUpperCase"].includes(node.callee.property?.name) &&
        shown(node) &&
        context.report({ node, message: "A name in code is no word: told() has it." }),
      JSXText: (node) => look(node, node.value),
      Literal: (node) =>
        typeof node.value === "string" &&
        [shown, amongSaid, amongSaidRows, saidByWords].some((is) => is(node)) &&
        look(node, node.value),
      TemplateElement: (node) => shown(node.parent) && look(node, node.value.cooked),
    };
  },
};
