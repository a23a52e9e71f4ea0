/** Hands a text to the person as a file; its name is made safe for every system. */
export function saveFile(text: string, name: string, ending: string): void {
  saveBlob(new Blob([text], { type: 'application/octet-stream' }), name, ending);
}

/** The same for a picture or anything else that is no text. */
export function saveBlob(content: Blob, name: string, ending: string): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'outline'
  }.${ending}`;
  link.click();
  URL.revokeObjectURL(address);
}
