/** Remnants of cloth and hides beside those of foam: the column says what each is of. */
export const remnantsOfAnyMaterial = `
ALTER TABLE remnant RENAME COLUMN grade TO material;
DROP INDEX remnant_by_grade;
CREATE INDEX remnant_by_material ON remnant (material);
`;
