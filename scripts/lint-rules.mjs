/** Rules of this house that no linter ships; `.oxlintrc.json` says where they hold. */

const reporting = (message, visitorOf) => ({
  meta: { messages: { fault: message } },
  create: (context) => visitorOf((node) => context.report({ node, messageId: 'fault' }), context.sourceCode),
});

const isNumber = (node, value) => node?.type === 'Literal' && node.value === value;

/** `instant.slice(0, 10)`, which is a day in London only. */
const noCutInstant = reporting('An instant is not cut to a day: the studio’s day is stored beside it (onDay).', (report) => ({
  CallExpression(node) {
    const [from, to] = node.arguments;
    if (node.callee.property?.name === 'slice' && isNumber(from, 0) && isNumber(to, 10)) report(node);
  },
}));

/** `value as unknown as Other`. */
const noDoubleCast = reporting('A cast through unknown hides what the types know: say in a comment why it must be.', (report) => ({
  TSAsExpression(node) {
    const inner = node.expression;
    if (inner.type === 'TSAsExpression' && inner.typeAnnotation.type === 'TSUnknownKeyword') report(node);
  },
}));

const DOCUMENTED = ['FunctionDeclaration', 'ClassDeclaration', 'TSInterfaceDeclaration', 'TSTypeAliasDeclaration', 'VariableDeclaration'];

/** What a file gives away without a comment of its own. */
const exportedHasDoc = reporting('What a file exports says what it is: write a /** comment */ above it.', (report, source) => {
  const isDoc = ({ type, value }) => type === 'Block' && value.startsWith('*');
  const check = (node) => {
    if (!node.declaration || !DOCUMENTED.includes(node.declaration.type)) return;
    // A decorator is between the comment and the class.
    const above = [node, ...(node.declaration.decorators ?? [])].flatMap((part) => source.getCommentsBefore(part));
    if (!above.some(isDoc)) report(node);
  };
  return { ExportNamedDeclaration: check, ExportDefaultDeclaration: check };
});

export default {
  meta: { name: 'house' },
  rules: { 'no-cut-instant': noCutInstant, 'no-double-cast': noDoubleCast, 'exported-has-doc': exportedHasDoc },
};
