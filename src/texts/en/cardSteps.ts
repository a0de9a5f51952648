/**
 * The words of every step of the run cards: short, second person, one act a step. `{quantity}` is a number of the card; `{tank}`,
 * `{outlet}`, `{side}`, `{valves}`, `{handle}`, `{gray}`, `{black}`, `{place}`, `{product}`, `{joined}` and `{load}` are names of this rig, place and crew.
 */
export const cardSteps: Record<string, string> = {
  'open.fresh-first':
    'Want drinking water here? Take it first, while your hands are clean. Or leave it for another place.',
  'where.refused': '{place} does not take this. Open nothing here. Choose another place for it.',
  'where.ask': 'Does this drain take toilet waste? Look for its sign, or ask. Not sure: open nothing.',
  'where.ask-gray': 'Does this drain take gray water? Look for its sign, or ask. Not sure: open nothing.',
  'where.old-black':
    'One of these tanks was once for toilet waste. Ask whether the drain takes its gray water.',
  'where.product':
    'Ask about treatment before you dump: with a septic tank, products with formaldehyde are refused.',
  'open.fresh-ask':
    'Want drinking water here? Look for a tap that is marked as drinking water. Take it first, with clean hands. No mark, no water.',
  'open.toilet': 'Toilet shut, lid down, roof fan off. Children and pets away. Nothing that burns or glows.',
  'open.air': 'Children and pets away. Nothing that burns or glows. Roof fan off.',
  'open.gloves': 'Gloves on. Eyes covered wherever something is poured or sprayed.',

  'close.point': 'Rinse where you poured with the tap for waste. Leave it cleaner than you found it.',
  'close.hands': 'Gloves off inside out. Wash your hands with soap.',
  'close.read': 'Read the panel once more, and put in what it shows.',

  'dump.take':
    'Get out: the hose that is only for waste, its adaptor and gasket, something heavy, a pad to kneel on.',
  'dump.park':
    'Park with {outlet} ({side} of the rig) close to the inlet, leaning a little towards the valves. Brake on, wheels chocked, engine off. Who helps stands clear of traffic.',
  'dump.hookup':
    'At a hookup black stays shut always. Shut gray {shut-hours} before the dump, so that there is enough to wash the hose.',
  'dump.hookup-kept':
    'Black and gray were kept shut. {shut-hours} of gray are enough to wash the hose: is there as much?',
  'dump.read': 'Read the panel, and put in what it shows.',
  'dump.top-up':
    'Top {tank} up first: {top-up}. It holds about {content}, and you dump it from {threshold} on. The card is “Top up before a dump”.',
  'dump.all-home': 'Push every valve home, those out of sight too: {valves}.',
  'dump.ground-first':
    'Ground end into the inlet: the thread, or the soft ring pressed in. A foot on it, or {hose-weight}.',
  'dump.cap':
    'Bucket under the cap. Turn it slowly. More than {pipe} comes? Close it again and find the valve that is not home.',
  'dump.rig-end': 'Hose onto {outlet}. All lugs catch. Give it a tug. It falls all the way to the inlet.',
  'dump.ground-last':
    'Ground end into the inlet: the thread, or the soft ring pressed in. A foot on it, or {hose-weight}.',
  'dump.end-open': 'Open the end valve.',
  'dump.pulse': '{tank} open for {pulse}. Look along the hose for drips. Shut it.',
  'dump.crack': 'Open {tank} a crack. Look along the hose for drips.',
  'dump.rinse-before': 'When {tank} opens, the tap of the rinse hose opens right after it. Stay.',
  'dump.black':
    'Open {tank} all the way ({handle}). About {drain}. It is empty when the elbow runs clear, when the sound changes, when the panel says so.',
  'dump.queue':
    'Others wait: {queue-low} to {queue-high} of water into {tank}, let it go. The rinse is owed, and noted.',
  'dump.no-water': 'No water to rinse with here. The rinse of {tank} is owed, and noted.',
  'dump.black-shut': 'Shut {tank}.',
  'dump.black-shut-last': 'Shut {tank}.',
  'dump.gray': 'Open {tank}: its suds wash the hose. About {drain}.',
  'dump.gray-shut': 'Shut {tank}.',
  'dump.end-shut': 'Now the end valve: shut it.',
  'dump.rig-off': 'Rig end off first. Lift the hose, so that it drains into the inlet. Cap on the rig.',
  'dump.hose-fresh': 'Rinse the hose through with the tap for waste, into the inlet.',
  'dump.hose-soap': 'A little soap and water through the hose, into the inlet.',
  'dump.ground-off': 'Ground end out. Join the ends of the hose. Into its bag.',
  'dump.home': 'Every valve home, every cap on. Look once more.',
  'dump.joined':
    'Your tanks stand open to each other: open {joined} again, with the end valve shut and the cap on.',

  'rinse.see': 'About {rounds} × {rinse-litres}, {rinse-minutes} each.',
  'rinse.begin': 'Open {tank} all the way. Let it run out: about {drain}.',
  'rinse.hose':
    'Vacuum breaker and pressure regulator on the tap. The hose for rinsing, never the drinking hose. Read the label on the rig: it says rinse, not fresh.',
  'rinse.keep-gray': 'Leave {gray-keep} of gray where it is: it chases each round out.',
  'rinse.open': 'Tap on. {tank} stays open: {rinse-minutes}, about {rinse-litres}.',
  'rinse.open-off':
    'Tap off, let it run out. Clear at the elbow? Usual here: {rounds} ×. At {rounds-stop} stop: let it soak, come back.',
  'rinse.shut': '{tank} has run empty. Shut it.',
  'rinse.meter':
    'Meter to zero. Tap on. Off at {rinse-litres}: about {rinse-minutes}. Nobody walks away; somebody looks at the toilet and the roof vent, where it would come out.',
  'rinse.timed':
    'Tap on. Off at {rinse-minutes}: that is {rinse-litres}. Nobody walks away; somebody looks at the toilet and the roof vent, where it would come out.',
  'rinse.release':
    'Tap off. Open {tank}. Look. Not clear yet? Shut, and fill again. Usual here: {rounds} ×. At {rounds-stop} stop, let it soak.',
  'rinse.back-shut':
    'End valve shut, gray shut. {tank} stays open: the water goes back into it through the outlet.',
  'rinse.back-water':
    'Tap on at the fitting of the outlet that is made for it. Off at {rinse-litres}: about {rinse-minutes}. Nobody walks away.',
  'rinse.back-release':
    'Tap off. Open the end valve. Look. Usual here: {rounds} ×. At {rounds-stop} stop, let it soak.',
  'rinse.wand':
    'Wand down the toilet, {tank} open: {rinse-minutes} a round. Usual here: {rounds} ×, at {rounds-stop} stop.',
  'rinse.buckets':
    'A bucket of {bucket-size} down the toilet with {tank} open, or hold the pedal. Look at the hose after each. Usual here: {rounds} ×, at {rounds-stop} stop.',
  'rinse.chase':
    'Between rounds: open {gray} for {pulse}, so that gray carries the rest out of the hose. Shut it.',
  'rinse.end': 'Shut {tank}.',

  'charge.none': 'Nothing goes back into {tank}: that is how you have it.',
  'charge.see': '{tank} is empty and shut. It takes {charge} of water back.',
  'charge.fresh': 'Pump on: {charge} from fresh into {tank}, so that nothing dries to its floor.',
  'charge.tap':
    '{charge} of water into {tank}, by bucket down its drain, so that nothing dries to its floor.',
  'charge.gloves': 'A fresh pair of gloves, for what you carry indoors. Eyes covered where you pour.',
  'charge.dropped':
    'No water and no treatment into {tank} now: there is no room, or the rig would be too heavy. Do it after the drive.',
  'charge.hands': 'Gloves off inside out. Wash your hands.',
  'charge.septic': 'This place has a septic tank: only what is marked as safe for it goes in.',
  'charge.nothing': 'This place takes no product at all: a tank that was treated is dumped elsewhere.',
  'charge.powder': '{dose} into {tank}: dissolve it in a jug of water first, then pour it down.',
  'charge.dose': '{dose} into {tank}, with water after it.',
  'charge.label': 'Treatment into {tank} as its label says for {capacity}.',
  'charge.household': 'Your own mixture into {tank}, for {capacity}. Nothing else goes in with it.',
  'charge.stock': '{stock-left} are left after this.',

  'top-up.see':
    '{tank} holds about {content}. It rinses itself from {top-up-level} on: {top-up} are missing.',
  'top-up.fresh':
    'Pump on, pedal down: {top-up-fresh} from fresh, about {top-up-fresh-minutes}. Fresh keeps {road-reserve} for the road.',
  'top-up.hose':
    '{top-up-hose} more down the toilet from a hose with a vacuum breaker: {top-up-hose-minutes}. It may hold {content-high} already, and takes {limit}.',
  'top-up.no-room':
    'Not all of it fits: {tank} may hold {content-high} already and takes {limit}. The rest stays where it is.',
  'top-up.gloves': 'Gloves on, eyes covered: this goes down the toilet.',
  'top-up.leftover': '{leftover} of leftover fresh into {tank}.',
  'top-up.weight': 'That is {top-up-kg} more on the road: do it right before the dump, and not at home.',
  'top-up.read': 'Read the panel once more.',

  'over.refused':
    'Do not open anything: {gray} does not stand clearly above {black}, or {black} has no room. Black water would run into {gray}.',
  'over.level': 'Is the rig level? A tilt changes what runs where.',
  'over.read': 'Read both tanks now, {gray} and {black}.',
  'over.end': 'End valve shut, both tank valves shut, cap on.',
  'over.gray-open': 'Open {gray}.',
  'over.black-open': 'Open {black} and count: {head-seconds}, no longer. That lets about {head-litres} over.',
  'over.pulse':
    'Open {black} for {pulse}, no longer. Nobody measured how high the tanks stand: read both before you do it again.',
  'over.black-shut': 'Shut {black} first.',
  'over.gray-shut': 'Then shut {gray}.',
  'over.again': 'Read both. Again only while {gray} stands clearly above {black}.',

  'gray-only.ask': 'Ask whether this drain is for gray, and only for gray.',
  'gray-only.open': 'Open {tank}. The hose falls all the way; somebody holds its loose end. About {drain}.',

  'cassette.when': 'About {content} in it, {kg} with its shell. You lift up to {lift-limit}.',
  'cassette.light': 'Its light leaves a few uses and no more: today, not tomorrow.',
  'cassette.spare': 'The spare goes in when this one is out: is it rinsed, dosed and at hand?',
  'cassette.heavy': '{kg} is more than {lift-limit}: wheels, or two people. Next time earlier.',
  'cassette.flush': 'Flush tank first, at a tap for drinking water: {flush-litres} to its mark. Plain water.',
  'cassette.flush-product':
    'Flush tank first, at a tap for drinking water: {flush-litres} to its mark, and the rinse product after it.',
  'cassette.bowl': 'Nothing left in the bowl. Blade shut. Bowl turned home.',
  'cassette.out': 'Hatch open, unlock, pull: {kg}. It sticks? The blade is open. Do not force it.',
  'cassette.hands': 'Dirty gloves off inside out. Wash your hands. A fresh pair for the treatment.',
  'cassette.wheels': 'Cap on the spout. Wheels and handle out: {kg} roll better than they carry.',
  'cassette.board': 'Read the board at {place}: where, and what may go in.',
  'cassette.aside': 'Spout round, cap aside where you see it.',
  'cassette.down': 'Spout down, over the middle of the drain.',
  'cassette.pour': 'Now the air button, and pour. Upright again before you let go of it.',
  'cassette.rinse-twice':
    '{cassette-rinse} of water in ({cassette-rinse-kg} with the shell). Spout cap on, blade shut: tilt it gently. Cap off, pour it out. {cassette-rounds} ×.',
  'cassette.rinse-soak':
    '{cassette-rinse} of water in ({cassette-rinse-kg} with the shell), and {soak} of soaking. Spout cap on, blade shut: tilt it gently, never throw it about. Cap off, pour it out. {cassette-rounds} ×.',
  'cassette.no-water': 'No water here: rinse it at the next tap for waste.',
  'cassette.seat': 'Seal clean, float free, plate seated. Cap on.',
  'cassette.dose': '{dose-water} of water, then {dose}.',
  'cassette.sachet': '{dose-water} of water, then {dose}: a sachet wants water to open.',
  'cassette.label': '{dose-water} of water, then treatment as its label says for {capacity}.',
  'cassette.label-sachet': '{dose-water} of water, then a sachet: it wants water to open.',
  'cassette.household': '{dose-water} of water, then your own mixture. Nothing else goes in with it.',
  'cassette.in': 'Push it in until it clicks. Try the blade. Is the light out?',
  'cassette.home': 'At home: wash it, let it air, lubricate the seal.',

  'urine.when': 'About {content} of {limit} in it.',
  'urine.rhythm': 'It fills in {urine-days} or so: empty it before that.',
  'urine.lid': 'Lid on, out with it: {kg}.',
  'urine.pour': 'Into a toilet. On the ground only where the written rule allows it.',
  'urine.rinse': 'Rinse with water, and nothing else. Never bleach.',
  'urine.seat': 'Back in until it sits: a jug that sits askew spills. A late one floods the solids.',

  'solids.when': '{uses} of {limit} since it was changed. Change it when that is full, or when it stays wet.',
  'solids.other': 'Everybody uses the other toilet meanwhile.',
  'solids.soak': '{bricks} brick, {medium-litres} of water: let it soak, break it up.',
  'solids.jug': 'The urine jug out first, lid on.',
  'solids.out': 'Unlatch it, lift it out: {kg}.',
  'solids.bag': 'Bag over it, turn it, tap it out. Tie it twice. A little may stay.',
  'solids.bin': 'Into a bin where that is allowed. It is not compost, and not for plants that are eaten.',
  'solids.fill': 'New medium, spoon by spoon, until it feels damp like used coffee grounds.',
  'solids.sawdust': 'New sawdust, dry. Its count is short: set the uses back, and look sooner.',
  'solids.wet': 'Too wet? Dry medium in, or the hatch open with the fan on, a window open and nobody inside.',
  'solids.seat': 'Latch it. The uses are back to nought.',

  'tote.see': '{tote-loads} × {tote-litres}, {tote-kg} a load.',
  'tote.vent': 'Tote beside {outlet}, empty. Open its vent and its filling cap.',
  'tote.hose': 'Hose from {outlet} into the tote. {hose-weight} on it, or a hand.',
  'tote.pump-hose': 'Pump onto {outlet}, its hose tied into the tote. Only then the power.',
  'tote.fill':
    'Open {tank} a little: load {load}. Watch the tote, and shut at {load-litres}, not at the brim.',
  'tote.pump':
    'Open {tank}, pump on: load {load}. Watch the tote. Pump off at {load-litres}, then shut the valve.',
  'tote.off': 'Hose off and drained into the tote, cap on the rig. Vent and caps of the tote shut.',
  'tote.tow': 'Hitch low, walking pace, somebody beside it.',
  'tote.load': '{load-kg} on an open bed, strapped down. Never where people ride.',
  'tote.pour':
    'At the inlet: hose in, a foot on it. Vent open, eyes covered, then open the tote slowly. Empty: shut it and the vent.',
  'tote.rinse': 'Rinse the tote through, into the inlet.',

  'pump.reach':
    'Inlet within {reach} and no more than {pump-head} above the pump? Read the pump’s own label.',
  'pump.on-rig': 'Pump onto {outlet}. All lugs catch. Give it a tug.',
  'pump.fixed': 'Hose end fixed in the inlet, {hose-weight} on it. Only then the power.',
  'pump.black': 'Open {tank} (about {content}). Pump on. Off when it races.',
  'pump.gray': 'Open {tank} (about {content}): it clears the hose. Pump on. Off when it races.',
  'pump.clear': 'A little clear water through. Pump off, power off.',

  'fresh.hands': 'Clean hands. Nothing of this was near the waste hose.',
  'fresh.potable': 'The tap is marked as drinking water. No mark, no water.',
  'fresh.tap': 'Wipe the tap with disinfectant. Let it run a moment.',
  'fresh.hose':
    'The drinking hose, kept only for this, behind a pressure regulator. Read the label on the rig: it says fresh.',
  'fresh.bucket':
    'Not sure how it runs? A bucket of {bucket-size} takes {bucket-seconds} at the flow we know of.',
  'fresh.full': 'It is full, nothing to fill. Leave the hose where it is.',
  'fresh.never': 'No drinking water at {place}: nothing is filled here.',
  'fresh.see': '{fill} go in: about {fill-minutes}, {fill-kg}.',
  'fresh.fill':
    'Hose a hand’s breadth in. Tap on, not too fast: {fill}, about {fill-minutes}. Spits back early? Air: wait, then slower.',
  'fresh.jug-see': '{jug-loads} × {jug-litres}, {jug-kg} a jug.',
  'fresh.jug-pour': 'Lift with a straight back, pour slowly: {jug-kg}. {jug-loads} ×.',
  'fresh.cap': 'Cap on. Ends of the hose joined.',
  'fresh.read': 'Read the panel, and put in what it shows.',

  'road.drain':
    'Drain {drain-fresh} of fresh where it may run: {drain-fresh-minutes}. {road-reserve} stay for the road.',
  'road.full': 'Fresh stays as full as it is: {content}.',
  'road.low': 'Fresh holds {content}; {road-reserve} are wanted for the road.',
  'road.weight': 'Water and waste aboard: {road-kg}.',
  'road.charge': '{charge} of water stand in black, so that nothing dries to its floor.',
  'road.bowl-some': 'A little water in the bowl as a seal. Lid down.',
  'road.bowl': 'Bowl empty, blade shut, lid down.',
  'road.pump': 'Water pump off.',
  'road.heater': 'Water heater off.',
  'road.slosh': 'Cleaner and a part fill slosh on this drive, into a tank that was rinsed the day before.',
  'road.caps': 'Caps on, valves home, hatch shut. Walk round once.',
  'road.leftover': 'What is left of fresh goes into black at the last stop, before it is dumped.',
  'road.jug': 'A jug of {flush-owed} within reach, for flushing on the way.',

  'aboard.welcome': 'Welcome. Water comes in a tank here and leaves in another. This is how they last.',
  'aboard.none': 'There is no toilet aboard. Ask where the nearest one is.',
  'aboard.pedal': 'Pedal half down: water runs into the bowl. All the way down: the bowl empties.',
  'aboard.cassette': 'Blade open, sit, flush a little, blade shut. No water stays in the bowl.',
  'aboard.plenty':
    'Water into the bowl before solids, two fingers deep. Then press fully, and count to five.',
  'aboard.little': 'Liquids: a short flush. Solids: a little water first, then press fully, and once more.',
  'aboard.seal': 'Leave a little water over the seal when you are done: it keeps the smell out.',
  'aboard.diverting':
    'Everybody sits. Open the latch for solids only, shut it after. Liquids never reach the solids.',
  'aboard.never':
    'In goes what the body makes, and paper. No wipes, not even flushable ones, no pads, no cleaner, no fat.',
  'aboard.fan': 'Roof fan off while the bowl is open.',
  'aboard.pump': 'Water pump on while you draw, and off after.',
  'aboard.shower': 'A shower is {shower-litres}: get wet, water off, soap, water on, rinse.',
  'aboard.habits': 'How we do it here: {habits}.',
  'aboard.dishes': 'Dishes: wipe them first, wash in a basin. {dishes-litres} do a round.',
  'aboard.light': 'A light of a tank comes on, the pump runs by itself, something smells: tell us at once.',

  'arrival.aboard': 'Somebody new aboard? Hang up the card “Aboard”, and go through it together.',
  'arrival.level': 'Level the rig: side to side first, then front to back.',
  'arrival.fresh': 'Fill fresh even where a tap is promised: a tap can fail.',
  'arrival.shut': 'Black shut. Gray as your side has it. Every valve looked at.',
  'arrival.hookup': 'Gray is shut again {shut-hours} before you leave.',
  'arrival.empty': 'Empty first where that was booked, before anything is set up.',
  'arrival.owed': 'The water for flushes on the road goes into black now: {flush-owed}.',
  'arrival.levels': 'Read the panel. Those are the levels that the stay starts with.',
  'house.paper-thin': 'Paper: any thin single ply.',
  'house.paper-dissolving': 'Paper: only the kind that dissolves at once.',
  'house.paper-any': 'Paper: any, with plenty of water after it.',
  'house.paper-none': 'Paper goes into the lidded bin, never into the bowl.',
  'house.paper-mixed': 'The first wipe is flushed, the rest goes into a bag of its own.',
  'house.solids': 'Solids elsewhere: the toilet aboard is for liquids.',
  'house.liquids': 'The cassette takes liquids only.',
  'house.outdoors': 'Outdoors only as the written rule allows it: who, when, how far from water.',
  'house.weekly': 'Treatment once a week, on a day that everybody knows.',
  'house.wipes': 'The bowl: disinfecting wipes, binned, never flushed.',
  'house.vinegar': 'The bowl: vinegar from a spray bottle.',
  'house.brush': 'The bowl: mild cleaner and a brush.',
  'arrival.toilets':
    'Where is the next toilet, and what does the land allow? Look, and write it down with its source.',

  'count.level': 'Level the rig.',
  'count.fresh': 'Fresh full.',
  'count.waste': 'Waste tanks empty, or with a known charge: {known-charge}.',
  'count.shut': 'Every valve shut.',
  'count.what': 'Agree on what is counted, every single time: showers, washing-up, flushes of each kind.',
  'count.everybody': 'Show everybody the keys. One tap a use.',
  'count.stop': 'Live as always. When a tank is full, stop, and the counts say what each use costs.',

  'sanitize.waste':
    'Waste tanks dumped and rinsed first: no chlorine may meet urine. Nobody flushes with this water.',
  'sanitize.filter': 'Filters out.',
  'sanitize.heater': 'Water heater off and cool.',
  'sanitize.half': 'Fill fresh half from a drinking tap, so that there is room for the bleach.',
  'sanitize.fill': 'Now fill it up. With heater and lines it is {system-litres}.',
  'sanitize.dose':
    '{bleach} of plain, unscented bleach of {bleach-percent} for {system-litres}, mixed into a jug of water first. No other cleaner at the same time.',
  'sanitize.taps': 'Every tap, hot and cold, until it smells. Not the toilet.',
  'sanitize.hold': 'Let it stand: {bleach-hold}, or what the label or your local advice says.',
  'sanitize.room':
    'Flushing it out makes {system-litres} of gray, and gray takes {gray-room}: {stages} times, emptied between.',
  'sanitize.flush': 'Drain, fill, run every tap until nothing smells.',
  'sanitize.back': 'Filters back. Heater on when it is full.',

  'lay-up.dump': 'Dump and rinse, twice round.',
  'lay-up.dry':
    'Leave the tanks dry with the valves open for a day, or part full and treated. Never half used.',
  'lay-up.cassette': 'Cassette washed, dry, spout open, in the air.',
  'lay-up.solids': 'Medium out. Bin washed and dry.',
  'lay-up.fresh': 'Fresh drained where it may run. Taps open, lines blown or left to run dry.',
  'lay-up.heater': 'Heater off, cool, drained.',
  'lay-up.seals': 'Seals: the maker’s lubricant.',
  'lay-up.oil': 'Seals: plain olive oil, and no other kitchen oil.',
  'lay-up.caps': 'Caps on, valves home.',

  'frost.night': 'Frost is in your weather: this is for tonight.',
  'frost.drain': 'What is not heated is drained: outdoor shower, outlets, low points.',
  'frost.heat': 'Tank heaters on before it freezes, not after. Cupboards open to the warmth.',
  'frost.jug': 'Flush from a jug while the plumbing is drained: {flush-night} for a night.',
  'frost.valve': 'A frozen valve is thawed with warm water or warm air. No flame. Never forced.',
  'frost.outlet': 'Outlets shut and capped: a drip builds a plug of ice.',
  'frost.antifreeze': 'In the lines only the non-toxic antifreeze that is made for it.',

  'probes.when': 'Of {tank}: the panel says full and it is not, or the last reading was marked as suspect.',
  'probes.water': '{probe-low} to {probe-high} of warm water in, by the toilet or the drain.',
  'probes.full': 'There is no room for water in {tank}: dump it first.',
  'probes.product': 'A product for it, as its label says.',
  'probes.drive': 'Drive. Corners and brakes do the work.',
  'probes.dump': 'Dump it, the card “Dump”.',
  'probes.read': 'Read the panel: empty is believed again, anything else is marked.',

  'seals.empty': 'Toilet empty, a little water over the blade.',
  'seals.clean': 'Wipe the seal and its groove with a soft cloth and mild cleaner.',
  'seals.lubricant': 'The maker’s lubricant, thin, all round.',
  'seals.oil': 'Plain olive oil, thin, all round. No other kitchen oil.',
  'seals.plate': 'Cassette plate seated, its own seal too.',
  'seals.look': 'A tear, a hard spot? A new seal before the next trip.',
  'seals.try': 'Open and shut a few times. It holds water over night.',

  'bucket.take': 'A bucket with a mark at {bucket-size}, a clock.',
  'bucket.open': 'The tap as you will have it, through the hose you will use.',
  'bucket.time': 'Start the clock with the water, stop it at the mark. Last time that was {bucket-seconds}.',
  'bucket.again': 'Once more. Take the mean.',
  'bucket.write': 'Put the seconds in: minutes on the cards are this tap’s from now on.',

  'by-hand.out': '{moved} out of {tank}, where it may go.',
  'by-hand.in': '{moved} into {tank}.',
  'by-hand.over': '{moved} from {from} into {tank}.',

  'metered.empty': '{tank} empty to where it is always emptied.',
  'metered.level': 'Level the rig.',
  'metered.hose':
    'A hose with a vacuum breaker: the drinking hose for fresh, the other one for a waste tank.',
  'metered.shut': 'Valves shut.',
  'metered.fill':
    'Meter to zero, or count buckets. Fill slowly to {metered-litres}, about {meter-minutes}. Stop there, or where it runs out at the top.',
  'metered.marks': 'Write down the amount at which each light comes on.',
  'metered.write': 'Put the amounts in: the tank counts as metered.',
}
