declare module 'gltf-validator' {
  /** Reads a glTF file and tells what is wrong with it. */
  export function validateBytes(data: Uint8Array): Promise<object>;
}
