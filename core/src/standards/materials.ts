import { type Material, materials } from './materials.table';

/**
 * The material of this id; mild steel stands in for one that is not in the table.
 * @example materialOf('brass').id // 'brass'
 */
export function materialOf(id: string): Material {
  const found = materials.find((m) => m.id === id) ?? materials[0];
  if (!found) throw new RangeError('the material table is empty');
  return found;
}
