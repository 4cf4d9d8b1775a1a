/** Gives a text to the person as a file. */
export function saveFile(text: string, name: string, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  // Some browsers read it a little later.
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
