import { type Estimate } from './estimate';

/**
 * A factor that is doubtful and a reading that says what it is: each is believed by its own doubt (logarithms, weighed by their inverse
 * squares). @param factor over zero @param said the factor by the reading alone, over what `factor` holds @param share 90 % half-width of what was said, as a share
 */
export function agreed(factor: Estimate, said: number, share: number): Estimate {
  const [ofReading, ofFactor] = [share ** 2, (factor.half90 / factor.value) ** 2];
  const all = ofReading + ofFactor || 1;
  const value = factor.value * said ** (ofFactor / all);
  return { value, half90: value * Math.sqrt((ofFactor * ofReading) / all), origin: 'calibrated' };
}
