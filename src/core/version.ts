/** Version of the computation. Raised whenever a stored prediction would come out differently. */
export const CORE_VERSION = '0.7.1';
