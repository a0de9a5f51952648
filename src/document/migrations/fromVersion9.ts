/** Version 10 knows of a logged use that it came on top of the usual; documents are as they were. */
export function fromVersion9(document: unknown): unknown {
  return { ...(document as object), version: 10 }
}
