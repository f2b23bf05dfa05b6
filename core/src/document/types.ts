import type * as z from 'zod';
import type * as d from './document';

type Of<S extends z.ZodType> = Readonly<z.infer<S>>;

export type Cell = Of<typeof d.Cell>;
export type Section = Of<typeof d.Section>;
export type Drawing = Of<typeof d.Drawing>;
export type Detail = Of<typeof d.Detail>;
export type Mate = Of<typeof d.Mate>;
export type Relation = Of<typeof d.Relation>;
export type Choice = Of<typeof d.Choice>;
export type Machine = Of<typeof d.Machine>;
export type Dial = Of<typeof d.Dial>;
export type Holding = Of<typeof d.Holding>;
export type Tool = Of<typeof d.Tool>;
export type Gauge = Of<typeof d.Gauge>;
export type Bar = Of<typeof d.Bar>;
export type Shop = Of<typeof d.Shop>;
export type Job = Of<typeof d.Job>;
export type Entry = Of<typeof d.Entry>;
export type StoredJob = Of<typeof d.StoredJob>;
export type StoredShop = Of<typeof d.StoredShop>;
export type JobFile = Of<typeof d.JobFile>;
export type ShopFile = Of<typeof d.ShopFile>;
export type Backup = Of<typeof d.Backup>;
export type Lesson = Of<typeof d.Lesson>;
