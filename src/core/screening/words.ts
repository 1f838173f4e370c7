// Facts as short labels for the form and the card.

import type { Fact } from './types';

export const FACT_WORDS: Readonly<Record<Fact, string>> = {
  'acid-exfoliant': 'Acid or peel', 'physical-exfoliant': 'Scrub', 'retinoid-topical': 'Retinoid cream', 'retinoid-oral': 'Oral retinoid', steroid: 'Steroid',
  'blood-thinner': 'Blood thinner, aspirin or ibuprofen', alcohol: 'Alcohol in the last day', caffeine: 'Coffee or stimulants today', sunburn: 'Sunburn', 'broken-skin': 'Open skin',
  rash: 'Rash', infection: 'Infection', 'recent-resurfacing': 'Laser or resurfacing', diabetes: 'Diabetes', circulation: 'Poor circulation', immune: 'Weak immune defence',
  pregnancy: 'Pregnancy', 'before-period': 'Before or during the period', keloid: 'Keloid scars', 'allergy-rosin': 'Allergy: rosin', 'allergy-honey': 'Allergy: honey',
  'allergy-fragrance': 'Allergy: fragrance', 'allergy-zinc-oxide': 'Allergy: zinc oxide', 'allergy-glove': 'Allergy: gloves', 'earlier-reaction': 'Reacted to waxing before', shaved: 'Shaved since last time',
  'numbing-cream': 'Numbing cream', 'numb-skin': 'Skin that cannot feel heat', photosensitiser: 'Light-sensitising medicine', 'cold-sore': 'Cold sore', lymph: 'Lymph nodes or swelling',
  'vein-thrombosis': 'Vein thrombosis', 'chemo-radio': 'Chemo- or radiotherapy', injectable: 'Injections in the zone', 'permanent-makeup': 'Permanent make-up', surgery: 'Surgery in the zone',
  faint: 'Has fainted', minor: 'Under 18',
};

/** Facts asked at every visit, what changes soonest first; the rest is asked once and stays on the card. */
export const ASKED_EACH_TIME: readonly Fact[] = [
  'acid-exfoliant', 'physical-exfoliant', 'retinoid-topical', 'sunburn', 'broken-skin', 'rash', 'cold-sore', 'shaved', 'blood-thinner', 'alcohol', 'caffeine', 'before-period', 'numbing-cream',
  'recent-resurfacing', 'injectable', 'permanent-makeup', 'surgery', 'infection',
];
export const ASKED_ONCE: readonly Fact[] = [
  'allergy-rosin', 'allergy-honey', 'allergy-fragrance', 'allergy-zinc-oxide', 'allergy-glove', 'earlier-reaction', 'retinoid-oral', 'steroid', 'photosensitiser', 'diabetes', 'circulation', 'immune', 'pregnancy', 'keloid',
  'lymph', 'vein-thrombosis', 'chemo-radio', 'numb-skin', 'faint',
];

/** Facts that stay on the card when a visit is closed: what is asked once, and medicines that must not be forgotten. */
export const STAYS_ON_CARD: readonly Fact[] = [...ASKED_ONCE, 'blood-thinner', 'retinoid-topical'];
