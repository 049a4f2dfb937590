/**
 * What a page may load and run: its own files, and of inline scripts only those that carry the nonce of this answer. Styles may stand inline: the component
 * library and every drawing write theirs so (decision 0023). @param development its tools evaluate text
 */
export const contentPolicy = (nonce: string, development = false): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'${development ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    `connect-src 'self'${development ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
