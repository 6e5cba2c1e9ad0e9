// What is told beside a field belongs to the field, for those who hear the page too.
let told = 0;

export function mistakes(problem) {
  const fields = [...(problem.closest('.field, form')?.querySelectorAll('input:not([type=hidden]), select, textarea') ?? [])];
  const field = fields.findLast((f) => f.compareDocumentPosition(problem) & Node.DOCUMENT_POSITION_FOLLOWING) ?? fields[0];
  // What a form works out while it is typed comes and goes; there the page itself says what belongs together.
  if (!field || problem.dataset.in || !problem.textContent.trim()) {
    return;
  }
  problem.id ||= `mistake-${(told += 1)}`;
  field.setAttribute('aria-invalid', 'true');
  field.setAttribute('aria-describedby', [field.getAttribute('aria-describedby'), problem.id].filter(Boolean).join(' '));
}
