const SAND: ReadonlySet<string> = new Set(['sand', 'loamy sand']);

/** Whether a texture is sand or loamy sand: ground that changes fast and holds little. */
export function isSand(texture: string | undefined): boolean {
	return texture !== undefined && SAND.has(texture);
}
