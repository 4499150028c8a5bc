import { waterRank, type FamilyTrait, type WaterClass } from '../knowledge/families'
import type { MaterialClass, MaterialTrait } from '../knowledge/materials'
import type { FaceTrait, LoadMode } from '../knowledge/vocabulary'
import type { Face, Situation } from './situation'

export const someFace = (s: Situation, test: (material: MaterialClass, face: Face) => boolean): Face | null =>
  s.faces.find((face) => face.material !== null && test(face.material, face)) ?? null
/** Both materials are known and pass. */
export const bothFaces = (s: Situation, test: (material: MaterialClass) => boolean): boolean =>
  s.faces.every((face) => face.material !== null && test(face.material))
export const is =
  (...traits: MaterialTrait[]) =>
  (material: MaterialClass): boolean =>
    traits.some((trait) => material.traits.includes(trait))
/** A face with a trait; where the material matters it must be known. */
export const withTrait = (s: Situation, trait: FaceTrait, test?: (material: MaterialClass) => boolean): Face | null =>
  s.faces.find((face) => face.traits?.includes(trait) && (!test || (face.material !== null && test(face.material)))) ??
  null
export const loaded = (s: Situation, ...modes: (LoadMode | 'steady')[]): boolean =>
  modes.some((mode) => s.loads?.includes(mode))
export const attacks = (s: Situation, word: string): boolean => s.family.attacks.includes(word)
export const needs = (s: Situation, word: string): boolean => s.family.needs.includes(word)
export const hazardous = (s: Situation, ...codes: string[]): boolean =>
  codes.some((code) => s.family.hazards.includes(code))
export const has = (s: Situation, ...traits: FamilyTrait[]): boolean =>
  traits.some((trait) => s.family.traits.includes(trait))
export const inView = (s: Situation): boolean => s.look === 'neat' || s.look === 'clear' || s.look === 'white'
export const thicknessOf = (face: Face): number | null => face.thicknessMm ?? face.material?.typicalThicknessMm ?? null
export const wetter = (one: WaterClass, two: WaterClass): boolean => waterRank(one) > waterRank(two)

/** A material's name inside a sentence. */
export const called = (face: Face): string =>
  face.material ? face.material.name.replace(/^([A-Z])(?=[a-z])/, (first) => first.toLowerCase()) : `side ${face.side}`
export const atStart = (sentence: string): string => sentence.replace(/^./, (first) => first.toUpperCase())
