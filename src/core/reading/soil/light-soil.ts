import type { TextureClass } from '../../schema-types';

/** Under this CEC ground holds little nitrogen and potash, meq/100 g: common practice. */
export const LIGHT_BELOW_CEC = 10;

/** Textures that let nitrogen and potash through: common practice. */
const SANDY: ReadonlySet<TextureClass> = new Set(['sand', 'loamy sand', 'sandy loam']);

/** Whether ground is light: sandy, or of a low CEC. */
export function isLight({ sandy, cec }: { sandy: boolean; cec: number | undefined }): boolean {
	return sandy || (cec !== undefined && cec < LIGHT_BELOW_CEC);
}

export function isSandy(texture: TextureClass | undefined): boolean {
	return texture !== undefined && SANDY.has(texture);
}
