import { speakAsWanted } from "./texts/speakAsWanted";

// Texts are looked up when the modules that have them are read, and so after those of the language are there.
await speakAsWanted(navigator.languages);
const { start } = await import("./start");
start();
