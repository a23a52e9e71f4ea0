/** Settings of the shop that have no column of their own, as one document; samples get a revision, so that a stale write is seen. */
export const shopSettings = `
ALTER TABLE shop ADD COLUMN settings TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(settings));
ALTER TABLE sample ADD COLUMN revision INTEGER NOT NULL DEFAULT 1;
`;
