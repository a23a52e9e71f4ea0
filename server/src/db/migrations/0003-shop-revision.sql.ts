export const shopRevision = `
ALTER TABLE shop ADD COLUMN revision INTEGER NOT NULL DEFAULT 1;
`;
