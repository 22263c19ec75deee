declare const brand: unique symbol;

/** A UUID that names one kind of thing; the client that makes the thing makes its id. */
export type Id<Kind extends string> = string & { readonly [brand]: Kind };

export type AccountId = Id<'account'>;
export type TeamId = Id<'team'>;
export type InviteId = Id<'invite'>;
export type OpponentId = Id<'opponent'>;
export type PersonId = Id<'person'>;
export type ReadingId = Id<'reading'>;
export type TestDiveId = Id<'testDive'>;
export type ThumbRepId = Id<'thumb-rep'>;
export type TogetherId = Id<'together'>;
export type GateDeviceId = Id<'gate-device'>;
export type GateRunId = Id<'gate-run'>;
export type GameId = Id<'game'>;
export type GameEntryId = Id<'game-entry'>;
export type PassId = Id<'pass'>;
export type DrillPassId = Id<'drill pass'>;
export type SignVersionId = Id<'sign version'>;
export type SignAnswerId = Id<'sign answer'>;
export type BuntTryId = Id<'bunt try'>;
export type FielderLookId = Id<'fielder look'>;
export type LeadLookId = Id<'lead look'>;
export type RepId = Id<'rep'>;
export type PracticeId = Id<'practice'>;
