import type { TextureClass } from '../../schema-types';

/** Under this CEC ground holds little nitrogen and potash, meq/100 g: common practice. */
export const LIGHT_BELOW_CEC = 10;

/** Textures that let nitrogen and potash through: common practice. */
const SANDY: ReadonlySet<TextureClass> = new Set(['sand', 'loamy sand', 'sandy loam']);

export function isSandy(texture: TextureClass | undefined): boolean {
	return texture !== undefined && SANDY.has(texture);
}
