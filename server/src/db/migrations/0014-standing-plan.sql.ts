/** The plan of the day that stands: the next one goes on from it. */
export const standingPlan = `
CREATE TABLE standing_plan (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  steps TEXT NOT NULL,
  made_at TEXT NOT NULL
) STRICT;
`;
