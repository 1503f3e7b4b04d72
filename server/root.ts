/** Root of the installation; the launcher says it, since a bundled server cannot know where it came from. */
export function installRoot(): string {
  return process.env.OLDHAND_ROOT ?? process.cwd();
}
