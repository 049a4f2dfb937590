// Property tests draw the same cases on every machine; PROPERTY_SEED draws others.
import fc from 'fast-check';

fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 20_261_128) });
