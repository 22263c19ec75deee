import type { FactName } from './facts.ts';
import type { Condition, Listener, Reminder } from './reminders.ts';

const is = (fact: FactName, value: Condition['value']): Condition => ({ fact, how: 'is', value });
const not = (fact: FactName, value: Condition['value']): Condition => ({ fact, how: 'not', value });
const atLeast = (fact: FactName, value: number): Condition => ({ fact, how: 'atLeast', value });
const atMost = (fact: FactName, value: number): Condition => ({ fact, how: 'atMost', value });

const weBat: Condition = is('weBat', true);
const theyBat: Condition = is('weBat', false);
const onFirst: Condition = is('first', true);
const onSecond: Condition = is('second', true);
const onThird: Condition = is('third', true);
const underTwo: Condition = atMost('outs', 1);
const twoOut: Condition = is('outs', 2);
const baseball: Condition = is('softball', false);
const softball: Condition = is('softball', true);
const leads: Condition = is('leadRule', 'open');
const play = (name: string): Condition => is('on', name);

type More = Partial<Pick<Reminder, 'newWith' | 'school'>>;
/** A rule in one line: to whom, when besides their own side being at bat, what, how much, and why. */
const rule =
  (to: Listener, always: readonly Condition[]) =>
  (
    id: string,
    when: readonly Condition[],
    say: string,
    weight: Reminder['weight'],
    why: string,
    more: More = {},
  ): Reminder => ({ id, to, when: [...always, ...when], say, weight, why, ...more });

const first = rule('runnerFirst', [weBat, onFirst]);
const second = rule('runnerSecond', [weBat, onSecond]);
const third = rule('runnerThird', [weBat, onThird]);
const batter = rule('batter', [weBat]);
const atFirst = rule('firstCoach', [weBat]);
const atThird = rule('thirdCoach', [weBat]);
const bench = rule('bench', []);
const field = rule('field', [theyBat]);

/** What comes with the application. Judgement, all of it: a team edits it, adds to it, or switches it off. */
export const SHIPPED: readonly Reminder[] = [
  first('f-outs', [], '{outs}.', 'first', 'A runner who knows the outs runs the bases right.', {
    newWith: ['outs'],
  }),
  first('f-sum', [is('sumKnown', true)], '{sum}.', 3, 'The ball’s time to the bag, last digits.'),
  first(
    'f-readable',
    [leads, is('holdIsEven', true)],
    'Same count every time: {hold}.',
    3,
    'The pitcher holds the ball about as long each time, so the start can be timed.',
  ),
  first(
    'f-left',
    [leads, is('lefty', true)],
    'Lefty. Read the front leg.',
    2,
    'A left-hander faces you. Guessing gets runners picked off.',
  ),
  first(
    'f-picks',
    [leads, is('picksLeft', 0)],
    'No free throws left. One more step.',
    3,
    'One more throw over that gets nobody is a balk under your rules.',
  ),
  first(
    'f-came-twice',
    [leads, atLeast('picks', 2)],
    'Likes coming over. Back corner.',
    2,
    'Two throws over to this batter. The next dive has to be clean.',
    { newWith: ['picks'] },
  ),
  first(
    'f-back',
    [leads],
    'Off the back corner, back to the back corner.',
    1,
    'The tag has to reach.',
  ),
  first(
    'f-line',
    [underTwo],
    'Line drive: freeze.',
    2,
    'Doubled off first ends the inning for nothing.',
  ),
  first(
    'f-fly',
    [underTwo],
    'Fly ball: halfway. Deep: ready to tag.',
    1,
    'Far enough to go, near enough to get back.',
  ),
  first(
    'f-dirt',
    [underTwo],
    'Dirt ball: be sure.',
    2,
    'With outs to play with, the free base can wait a blink.',
  ),
  first(
    'f-dirt-two',
    [twoOut],
    'Dirt ball: go on the read.',
    2,
    'With two out, second base is worth the risk.',
  ),
  first(
    'f-tagged',
    [underTwo, onThird],
    'Ball to second: stop short. Make them chase.',
    3,
    'An early tag on you is the double play they want with a runner on third.',
  ),
  first(
    'f-offspeed',
    [softball, atMost('balls', 1), is('strikes', 2)],
    'Changeup count. Watch the hand.',
    2,
    'Slow pitches are the ones to go on.',
  ),
  first(
    'f-two-two',
    [twoOut, is('balls', 3), is('strikes', 2)],
    'You’re going on the pitch.',
    3,
    'Two out, full count and forced: nothing can go wrong by leaving.',
  ),
  first(
    'f-behind',
    [atMost('lead', -4), atMost('inningsLeft', 3)],
    'Base to base. We need you on.',
    3,
    'Far behind and late, an out costs more than a base wins.',
  ),
  first(
    'f-bunt',
    [play('sacrifice')],
    'See it down first.',
    3,
    'A pop-up doubles off a runner who left early.',
  ),
  first(
    'f-run',
    [play('hitAndRun')],
    'Go on the pitch. One look in.',
    3,
    'You have to know where the ball went.',
  ),
  first(
    'f-release',
    [is('leadRule', 'atRelease')],
    'On the release. Early is an out.',
    2,
    'Late costs feet. Early costs the out.',
  ),
  first(
    'f-noleave',
    [is('leadRule', 'reachesBatter')],
    'Wait for the plate.',
    2,
    'Nobody leaves before the pitch gets there.',
  ),
  second(
    's-eyes',
    [leads],
    'Eyes on the ball. I have the shortstop.',
    3,
    'Only the one with the ball can pick you off.',
  ),
  second('s-outs', [], '{outs}.', 'first', 'A runner who knows the outs runs the bases right.', {
    newWith: ['outs'],
  }),
  second(
    's-straight',
    [leads, underTwo],
    'Straight line to third.',
    1,
    'No turn to make: the short way.',
  ),
  second('s-deep', [leads, twoOut], 'Deeper. Get your turn.', 2, 'On a hit you are going home.'),
  second(
    's-right',
    [underTwo],
    'Behind you: go. In front: see it through.',
    2,
    'A ball hit behind you takes the throw away from third.',
  ),
  second('s-tag', [is('outs', 0)], 'Deep right: tag.', 1, 'Third with one out scores on a fly.'),
  second(
    's-third',
    [is('stealThird', 'go')],
    'If they forget you, third is yours.',
    2,
    'By the times, the steal of third works often enough here.',
  ),
  third('t-outs', [], '{outs}.', 'first', 'A runner who knows the outs runs the bases right.', {
    newWith: ['outs'],
  }),
  third(
    't-foul',
    [leads, baseball],
    'Foul side down. Back in fair.',
    2,
    'A ball that hits you in foul ground is only a foul, and coming back you are in the throw’s way.',
  ),
  third(
    't-foul-softball',
    [softball],
    'Back in foul.',
    2,
    'The third baseman is on the plate side of the bag.',
  ),
  third(
    't-land',
    [leads],
    'Land on your right.',
    1,
    'From the right foot both home and the dive back are open.',
  ),
  third(
    't-stay',
    [is('infield', 'in'), is('outs', 0)],
    'Through before you go.',
    3,
    'With the infield in and nobody out, a ground ball at somebody is an out at the plate.',
  ),
  third(
    't-contact',
    [play('contact')],
    'Down angle: go.',
    3,
    'You go on the ball off the bat, not where it goes.',
  ),
  third(
    't-corners',
    [is('infield', 'cornersIn'), underTwo],
    'Corner: hold. Middle: go.',
    3,
    'The middle infielders are too deep to throw you out.',
  ),
  third(
    't-back',
    [is('infield', 'back'), underTwo],
    'Anything on the ground.',
    3,
    'They give the run for the out.',
  ),
  third(
    't-tag',
    [underTwo],
    'In the air: bag first. Your eyes.',
    3,
    'Waiting for a shout costs a reaction.',
  ),
  third(
    't-two',
    [twoOut, atMost('strikes', 1)],
    'Two down: go on anything.',
    2,
    'There is nothing to wait for.',
  ),
  third(
    't-two-dirt',
    [twoOut, is('strikes', 2)],
    'Two strikes: dirt ball is yours.',
    2,
    'A strikeout ends it anyway.',
  ),
  third(
    't-dirt',
    [is('outs', 0)],
    'Has to get well away.',
    2,
    'With nobody out there are better chances to come.',
  ),
  third(
    't-squeeze',
    [play('squeeze')],
    'Foot down, then go.',
    'first',
    'An early break gets a pitch-out. Never aloud near the third baseman.',
  ),
  batter(
    'b-early',
    [play('sacrifice')],
    'Show early. Strikes only. Away from the charge.',
    3,
    'No surprise is needed. A ball taken is a ball won.',
  ),
  batter(
    'b-late',
    [play('squeeze')],
    'When the foot lands. Anything. On the ground.',
    3,
    'The runner is coming: every pitch has to be bunted.',
  ),
  batter(
    'b-pull',
    [is('strikes', 2), play('sacrifice')],
    'Back to swinging.',
    1,
    'A foul bunt is strike three.',
  ),
  batter('b-take', [play('take')], 'Take one.', 2, 'The count is worth more than the pitch.'),
  batter(
    'b-two',
    [twoOut, is('runners', 0)],
    'Drive it.',
    1,
    'With two out and nobody on, one base rarely scores.',
  ),
  batter(
    'b-sign',
    [is('missedSign', true)],
    'Watch the whole sign.',
    3,
    'The last one was missed.',
  ),
  batter(
    'b-care',
    [is('young', true), play('sacrifice')],
    'Fingers behind the barrel.',
    1,
    'A pitch on the fingers is the common bunting injury.',
  ),
  atFirst(
    'c1-watch',
    [onFirst, atMost('deliveryTimed', 2), leads],
    'Time three leg lifts and the slide step.',
    3,
    'Too few of this pitcher’s deliveries are timed.',
  ),
  atFirst(
    'c1-pop',
    [onFirst, is('popIsOld', true)],
    'Get the pop time between innings.',
    2,
    'This catcher was not timed in the last four weeks.',
  ),
  atFirst(
    'c1-ss',
    [onSecond],
    'Call the middle infielders.',
    2,
    'The runner must not look at them.',
  ),
  atThird(
    'c3-where-1',
    [onFirst, is('second', false), is('third', false)],
    'Outfield end of the box.',
    2,
    'The runner finds you with the ball behind them.',
  ),
  atThird(
    'c3-where-2',
    [onSecond],
    'Plate end. Go down the line with them.',
    3,
    'From there you can still stop the runner.',
  ),
  atThird(
    'c3-two',
    [atLeast('runners', 2)],
    'Name and number. Lead runner past you first.',
    3,
    'The trailing runner takes the lead runner’s signal.',
  ),
  atThird(
    'c3-two-outs',
    [twoOut, onSecond, atMost('sendNeeds', 0.5)],
    'Two out: be bold.',
    2,
    'Here a send needs to work less than half the time.',
  ),
  atThird('c3-on', [not('on', 'nothing')], 'Did both look?', 3, 'A missed sign is an out.'),
  bench(
    'bench-throws',
    [is('nearThrowLimit', true)],
    'Near the throw limit.',
    'first',
    'A pitcher or catcher is close to the limit you set.',
  ),
  bench(
    'bench-walk',
    [weBat, is('first', false), is('walkPays', true)],
    'They may walk this one.',
    1,
    'First base is open and the walk helps them.',
  ),
  bench(
    'bench-runner',
    [weBat, is('courtesyRunner', true), atLeast('runners', 1), atMost('inningsLeft', 2)],
    'Who can run for whom?',
    2,
    'Last at-bats: the bench and the courtesy runner.',
  ),
  field(
    'd-go',
    [is('stealSecond', 'go'), onFirst, leads],
    'This one can run. Slide step.',
    3,
    'By the times the runner is safe often enough.',
  ),
  field(
    'd-go-pitch',
    [is('stealSecond', 'go'), onFirst, not('leadRule', 'open')],
    'This one can run. Be ready to throw.',
    3,
    'By the times the runner is safe often enough.',
  ),
  field(
    'd-stay',
    [is('stealSecond', 'stay'), onFirst],
    'Not going. Pitch your pitch.',
    3,
    'By the times the runner is out too often.',
  ),
  field(
    'd-hold',
    [onFirst, leads, is('holdIsEven', true)],
    'Change your count.',
    3,
    'Your holds can be timed.',
  ),
  field(
    'd-finish',
    [onSecond, leads],
    'Throw it, step off, or let it reset.',
    2,
    'Holding on too long is how runners get a jump.',
  ),
  field(
    'd-bunt',
    [underTwo, atLeast('runners', 1), atMost('inningsLeft', 2), atLeast('lead', -1)],
    'Corners: where’s the out?',
    2,
    'Late and close, the bunt is likely.',
  ),
  field(
    'd-13',
    [onFirst, onThird, is('second', false)],
    'First and third: which play is on?',
    3,
    'Everybody has to know before the pitch.',
  ),
];
