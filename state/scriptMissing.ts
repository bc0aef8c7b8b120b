/** A part of the app that could not be loaded: a newer build has replaced it, or the network is away. */
export class ScriptMissing extends Error {
  constructor() {
    super('A part of the app could not be loaded.');
  }
}
