import { expect, it } from 'vitest';
import { textOfFile } from './text-of-file';

const fileOf = (bytes: Uint8Array<ArrayBuffer> | string) => new File([bytes], 'prices.csv');
const twoBytes = (text: string) => new Uint8Array(new Uint16Array([0xfeff, ...Buffer.from(text, 'latin1')]).buffer);

it('a text is read as it was meant, and said how where that is not the usual way', async () => {
	expect(await textOfFile(fileOf('item,price'))).toEqual({ text: 'item,price', note: '' });
	expect(await textOfFile(fileOf(twoBytes('item;é')))).toEqual({ text: 'item;é', note: ' Read as UTF-16.' });
	const latin = new Uint8Array([...Buffer.from('Söder', 'latin1')]);
	expect(await textOfFile(fileOf(latin))).toMatchObject({
		text: 'Söder',
		note: expect.stringContaining('Latin-1') as string
	});
});

it('a file that is empty, too large or a picture is refused by its name, and none is cut short', async () => {
	expect(await textOfFile(fileOf(' \n'))).toBe('prices.csv is empty.');
	expect(await textOfFile(fileOf('x'.repeat(11)), { letters: 10 })).toMatch(/^prices.csv is over 0.01 kB of text/);
	expect(await textOfFile(fileOf('x'.repeat(41)), { letters: 10 })).toMatch(/^prices.csv is over/);
	expect(await textOfFile(fileOf('é'.repeat(10)), { letters: 10 })).toMatchObject({ text: 'é'.repeat(10) });
	expect(await textOfFile(fileOf(new Uint8Array([137, 80, 0, 71, 13, 0, 0])))).toMatch(/is no text file/);
});
