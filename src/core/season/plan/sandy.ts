import type { TextureClass } from '../../schema-types';

/** Textures that let nitrogen and potash through: common practice. */
const SANDY: ReadonlySet<TextureClass> = new Set(['sand', 'loamy sand', 'sandy loam']);

export function isSandy(texture: TextureClass | undefined): boolean {
	return texture !== undefined && SANDY.has(texture);
}
