/** What the construction of a cushion leaves on it when it is closed, for the small pictures of the list; empty until the job is written again. */
export const closedLines = `
ALTER TABLE cushion ADD COLUMN lines TEXT CHECK (lines IS NULL OR json_valid(lines));
`;
