/** Of a calculator whose file could not be read. */
export const NOT_READ = 'engine-not-read';
