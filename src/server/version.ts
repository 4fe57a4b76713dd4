import manifest from '../../package.json';

/** Version of the product. */
export const version: string = manifest.version;
