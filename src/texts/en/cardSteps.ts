import { group } from '../group'

/**
 * The words of every step of the run cards: short, second person, one act a step; the first sentence is the act. `{quantity}` is a number
 * of the card; `{tank}`, `{outlet}`, `{side}`, `{valves}`, `{handle}`, `{gray}`, `{black}`, `{place}`, `{product}`, `{joined}`, `{load}` and
 * `{habits}` are names of this rig, place and crew.
 */
export const cardSteps: Record<string, string> = /* @__PURE__ */ group('cardSteps', {
  'open.fresh-first':
    'Need drinking water here? Take it first, while your hands are clean. Or leave it for another place.',
  'where.refused': '{place} does not take this waste. Open nothing here. Choose another place for it.',
  'where.ask': 'Does this drain take toilet waste? Look for its sign, or ask. Not sure? Open nothing.',
  'where.ask-gray': 'Does this drain take gray water? Look for its sign, or ask. Not sure? Open nothing.',
  'where.old-black':
    'Ask whether this drain takes the water of a tank that was once for toilet waste. One of yours was.',
  'where.product':
    'Ask which treatment is allowed here. Places with a septic tank refuse products with formaldehyde.',
  'open.fresh-ask':
    'Need drinking water here? Look for a tap that is marked as drinking water, and take it first, with clean hands. Without a mark, take none.',
  'open.toilet':
    'Shut the toilet, lid down, roof fan off. Keep children and pets away. No flame, no smoking.',
  'open.air': 'Keep children and pets away. No flame, no smoking. Roof fan off.',
  'open.gloves': 'Gloves on. Cover your eyes wherever something is poured or sprayed.',

  'close.point':
    'Rinse the ground where you worked with the tap for waste. Leave it cleaner than you found it.',
  'close.hands': 'Take the gloves off inside out. Wash your hands with soap.',
  'close.read': 'Read the panel once more, and enter what it shows.',

  'dump.take':
    'Get out the waste hose, its adaptor and gasket, something heavy and a pad to kneel on. This hose is only for waste.',
  'dump.park':
    'Park with {outlet} ({side} of the rig) close to the drain, leaning a little toward the valves. Brake on, wheels chocked, engine off. Helpers stand clear of traffic.',
  'dump.next':
    'Go on with {outlet} ({side} of the rig). Gloves stay on, the hose stays in the drain. Does the hose not reach? Move the rig: brake on, wheels chocked, engine off.',
  'dump.hookup':
    'At a hookup, black always stays shut. Shut gray {shut-hours} before the dump, so that there is enough to wash the hose.',
  'dump.hookup-kept':
    'Black and gray were kept shut. It takes {shut-hours} of gray to wash the hose: is there that much?',
  'dump.read': 'Read the panel, and enter what it shows.',
  'dump.top-up':
    'Top {tank} up first: add {top-up}. It holds about {content}, and you dump it from {threshold} on. The card for it is “Top up before a dump”.',
  'dump.all-home': 'Push every valve fully shut. Also those out of sight: {valves}.',
  'dump.ground-first':
    'Put the ground end of the hose into the drain: screw it in, or press the soft ring in. A foot or {hose-weight} on it.',
  'dump.ground-lies':
    'Lay the end of the gray hose into the gray drain, a hand deep. Hold it, or put something heavy on it.',
  'dump.cap':
    'Bucket under the cap, then turn the cap slowly. Does more than {pipe} come out? Close it again, and find the valve that is not fully shut.',
  'dump.rig-end':
    'Lock the hose onto {outlet}, every lug. Give it a tug. The hose runs downhill all the way to the drain.',
  'dump.rig-gray':
    'Turn the coupling of the gray hose onto {outlet}. Give it a tug. The hose runs downhill all the way to the drain.',
  'dump.ground-last':
    'Put the ground end of the hose into the drain: screw it in, or press the soft ring in. A foot or {hose-weight} on it.',
  'dump.end-open': 'Open the end valve.',
  'dump.pulse': 'Open {tank} for {pulse}. Look along the hose for drips. Shut {tank}.',
  'dump.crack': 'Open {tank} a crack. Look along the hose for drips.',
  'dump.rinse-before': 'When {tank} opens, open the tap of the rinse hose right after it. Stay there.',
  'dump.black':
    'Open {tank} fully ({handle}). The rush is over in about {drain}. It is empty when the clear elbow runs clear, when the sound changes, or when the panel says so.',
  'dump.queue':
    'Others wait: run {queue-low} to {queue-high} of water into {tank}, and let it out. A full rinse is owed, and noted.',
  'dump.no-water': 'There is no water to rinse with here. The rinse of {tank} is owed, and noted.',
  'dump.black-shut': 'Shut {tank}.',
  'dump.black-shut-last': 'Shut {tank}.',
  'dump.gray': 'Open {tank}: its suds wash the hose. The rush is over in about {drain}.',
  'dump.gray-shut': 'Shut {tank}.',
  'dump.end-shut': 'Now shut the end valve.',
  'dump.rig-off':
    'Take the rig end of the hose off first. Lift the hose, so that it drains. Put the cap on the rig.',
  'dump.hose-fresh': 'Rinse the hose through with the tap for waste, into the drain.',
  'dump.hose-soap': 'Run a little soap and water through the hose, into the drain.',
  'dump.hose-clear':
    'Run clear water through the hose, into the drain. This outlet has no gray to wash it with.',
  'dump.ground-off': 'Take the ground end out of the drain. Join both ends of the hose. Put it into its bag.',
  'dump.home': 'Every valve fully shut, every cap on. Look once more.',
  'dump.joined':
    'Open {joined} to each other again, behind the shut end valve and the cap. That is how you keep your tanks.',

  'rinse.see': 'Usually {rounds} of {rinse-litres}, {rinse-minutes} each.',
  'rinse.begin': 'Open {tank} fully. Let it run out: the rush is over in about {drain}.',
  'rinse.hose':
    'Vacuum breaker and pressure regulator on the tap, then the rinse hose onto the rinse inlet. Read the label on the rig: it says rinse, not fresh.',
  'rinse.hose-next':
    'Gloves off, hands washed, then move the rinse hose to the rinse inlet of {tank}. Read its label. Fresh gloves on.',
  'rinse.keep-gray': 'Leave {gray-keep} of gray in its tank: it washes each round out of the hose.',
  'rinse.open': 'Tap on. {tank} stays open for {rinse-minutes}: that is about {rinse-litres}.',
  'rinse.open-off':
    'Tap off, and let it run out. Does the elbow run clear? Usually {rounds}. Not clear after {rounds-stop}? Stop, and let it soak.',
  'rinse.shut': '{tank} is empty. Shut it.',
  'rinse.look-in':
    'Go to the toilet, and watch the bowl and the shower drain while the tank fills. Water rises? Call “tap off”.',
  'rinse.meter':
    'Meter to zero, tap on. Tap off at {rinse-litres}, after about {rinse-minutes}. Nobody walks away. Overfilled, it comes out of the toilet, the shower or the roof vent: look there.',
  'rinse.timed':
    'Tap on. Tap off after {rinse-minutes}: that is about {rinse-litres}. Nobody walks away. Overfilled, it comes out of the toilet, the shower or the roof vent: look there.',
  'rinse.release':
    'Tap off, then open {tank}. Not clear yet? Shut it, and fill it again. Usually {rounds}. Not clear after {rounds-stop}? Stop, and let it soak.',
  'rinse.back-shut':
    'Shut the end valve, and shut gray. {tank} stays open: the water goes back into it through the outlet.',
  'rinse.back-water':
    'Tap on, at the fitting on the outlet that is made for it. Tap off at {rinse-litres}, after about {rinse-minutes}. Nobody walks away.',
  'rinse.back-release':
    'Tap off, then open the end valve. Usually {rounds}. Not clear after {rounds-stop}? Stop, and let it soak.',
  'rinse.watch': 'Stand at the hose, and watch the clear elbow. {tank} is open. A leak? Call “stop”.',
  'rinse.wand': 'Wand down the toilet: spray for {rinse-minutes}. Call when you stop. Usually {rounds}.',
  'rinse.buckets':
    'Pour a bucket of {bucket-size} down the toilet. Call when it is poured. Usually {rounds}.',
  'rinse.call':
    'Call “clear” or “once more” after each round. Usually {rounds}. Not clear after {rounds-stop}? Stop, and let it soak.',
  'rinse.go-in':
    'Gloves off, hands washed, fresh gloves on. You go in once: {tank} stays open, and the hose leads to the drain.',
  'rinse.wand-alone':
    'Wand down the toilet: spray for {rinse-minutes}. Usually {rounds}. Look at the hose after each time. Not clear after {rounds-stop}? Stop, and let it soak.',
  'rinse.buckets-alone':
    'Pour a bucket of {bucket-size} down the toilet, and the next one after it. Usually {rounds}. Look at the hose afterwards. Not clear after {rounds-stop}? Stop, and let it soak.',
  'rinse.go-out': 'Back to the hose. Look along it for drips.',
  'rinse.chase':
    'Between rounds, open {gray} for {pulse}. Its water washes the rest out of the hose. Shut {gray}.',
  'rinse.end': 'Shut {tank}.',

  'charge.none': 'Nothing goes back into {tank}. That is how you chose it.',
  'charge.see': '{tank} is empty and shut. It takes {charge} of water.',
  'charge.fresh': 'Pump on: {charge} from fresh into {tank}, so that nothing dries onto the bottom.',
  'charge.tap':
    'Put {charge} of water into {tank}, with a clean bucket, down what leads into it. Then nothing dries onto the bottom.',
  'charge.gloves': 'Put on fresh gloves for what you carry indoors. Cover your eyes where you pour.',
  'charge.dropped':
    'No water and no treatment into {tank} now: there is no room, or the rig would be too heavy. Do it after the drive.',
  'charge.hands': 'Take the gloves off inside out. Wash your hands.',
  'charge.septic': 'This place has a septic tank. Use only what is marked as safe for septic tanks.',
  'charge.nothing': 'This place takes no product at all. Empty a tank that holds treatment at another place.',
  'charge.mixture':
    'Your own mixture, part by part in this order. Nothing else goes in with it, and never bleach.',
  'charge.powder': '{dose} for {tank}: dissolve it in a jug of water first. Then pour it in.',
  'charge.dose': 'Pour {dose} into {tank}. Pour water after it.',
  'charge.label': 'Treatment into {tank}, as its label says for {capacity}.',
  'charge.household':
    'Your own mixture into {tank}, for {capacity}. Nothing else goes in with it. Put its parts in under “Treatment and its stock”, and the card shows each dose.',
  'charge.stock': '{stock-left} are left after this.',

  'top-up.see':
    '{tank} holds about {content}, at most {content-high}. It empties cleanly from about {top-up-level}: add {top-up}.',
  'top-up.fresh':
    'Pump on, pedal down: {top-up-fresh} from fresh, about {top-up-fresh-minutes}. Fresh keeps {road-reserve} for the road.',
  'top-up.hose':
    'Run {top-up-hose} more down the toilet from a hose with a vacuum breaker: {top-up-hose-minutes}. The tank may hold {content-high} already. Its limit is {limit}.',
  'top-up.no-room':
    'Not all of it fits. {tank} may hold {content-high} already, and its limit is {limit}. The rest stays out.',
  'top-up.gloves': 'Gloves on, eyes covered. This water goes down the toilet.',
  'top-up.leftover': 'Put {leftover} of leftover fresh water into {tank}.',
  'top-up.weight': 'This adds {top-up-kg}. Do it right before the dump, not at home.',
  'top-up.read': 'Read the panel once more.',

  'over.refused':
    'Do not open anything. {gray} is not clearly higher than {black}, or {black} has no room. Toilet waste would run into {gray}.',
  'over.level': 'Level the rig. A tilt changes what runs where.',
  'over.read': 'Read both tanks now: {gray} and {black}.',
  'over.end': 'End valve shut, both tank valves fully shut, cap on.',
  'over.gray-open': 'Open {gray}.',
  'over.black-open':
    'Open {black} and count: {head-seconds}, no longer. About {head-litres} run over in that time.',
  'over.pulse':
    'Open {black} for {pulse}, no longer. Nobody measured how high the tanks are. Read both before you do it again.',
  'over.black-shut': 'Shut {black} first.',
  'over.gray-shut': 'Then shut {gray}.',
  'over.again': 'Read both tanks. Do it again only while {gray} is clearly higher than {black}.',

  'gray-only.ask': 'Only gray goes into this drain. Black stays shut.',
  'gray-only.open':
    'Open {tank}. The hose runs downhill, and somebody holds its loose end. The rush is over in about {drain}.',

  'cassette.when': 'It holds about {content} and weighs {kg} with its shell. You lift up to {lift-limit}.',
  'cassette.light': 'Once its light is on, a few uses are left. Empty it today, not tomorrow.',
  'cassette.spare':
    'The spare goes in when this one is out. Is it rinsed, does it have its treatment, is it at hand?',
  'cassette.heavy':
    '{kg} is more than the {lift-limit} you lift. Use wheels, or two people. Next time, go earlier.',
  'cassette.flush':
    'Fill the flush tank first, at a tap for drinking water: {flush-litres} up to its mark. Plain water.',
  'cassette.flush-full': 'The flush tank is full, nothing to fill.',
  'cassette.flush-product':
    'Fill the flush tank first, at a tap for drinking water: {flush-litres} up to its mark. Then the rinse product.',
  'cassette.bowl': 'Shut the blade. Nothing is left in the bowl. Turn the bowl straight.',
  'cassette.out': 'Open the hatch, unlock the cassette, and pull it out: {kg}. It sticks? Do not force it.',
  'cassette.hands': 'Dirty gloves off inside out. Wash your hands. Fresh gloves on for the treatment.',
  'cassette.wheels': 'See that the cap is on the spout. Wheels and handle out: {kg} are easier to roll.',
  'cassette.board': 'Read the sign at {place}: where to pour, and what is allowed.',
  'cassette.aside': 'Turn the spout out. Take its cap off, and lay it where you see it.',
  'cassette.down': 'Point the spout down, over the middle of the drain.',
  'cassette.pour': 'Now press the air button, and pour. Stand it upright before you let the button go.',
  'cassette.rinse-in':
    'Pour {cassette-rinse} of water in ({cassette-rinse-kg} with the shell). Then blade shut, cap on the spout.',
  'cassette.soak': 'Let it soak: {soak}.',
  'cassette.tilt': 'Tilt it gently from side to side. Do not throw it about: the float breaks.',
  'cassette.rinse-out':
    'Cap off, spout down, then the button: pour the water out. Not clear? Pour water in again. Usually {cassette-rounds}.',
  'cassette.no-water': 'There is no water here. Rinse it at the next tap for waste.',
  'cassette.seat': 'Wipe the seal, free the float, seat the plate. Cap on, spout turned in.',
  'cassette.dose': 'Pour {dose-water} of water in, then {dose}.',
  'cassette.sachet': 'Pour {dose-water} of water in, then {dose}. A sachet needs water to open.',
  'cassette.label': 'Pour {dose-water} of water in, then treatment as its label says for {capacity}.',
  'cassette.label-sachet': 'Pour {dose-water} of water in, then a sachet. It needs water to open.',
  'cassette.household':
    'Pour {dose-water} of water in, then your own mixture. Nothing else goes in with it. Put its parts in under “Treatment and its stock”, and the card shows each dose.',
  'cassette.in': 'Push it in until it clicks. Try the blade. Is the light out?',
  'cassette.home': 'At home, wash it, let it air, and lubricate the seal.',

  'urine.when': 'It holds about {content} of {limit}.',
  'urine.rhythm': 'It fills in about {urine-days}. Empty it before that.',
  'urine.lid': 'Lid on, then take it out: {kg}.',
  'urine.pour': 'Pour it into a toilet. Onto the ground only where the written rule allows it.',
  'urine.rinse': 'Rinse it with water, and nothing else. Never bleach.',
  'urine.seat': 'Put it back until it sits straight. A jug that sits askew spills onto the solids.',

  'solids.when':
    'It has had {uses} of {limit} since the last change. Change it when it is full, or when it stays wet.',
  'solids.other': 'Everybody uses the other toilet meanwhile.',
  'solids.soak': 'Soak {bricks} of medium in {medium-litres} of water. Break it up.',
  'solids.jug': 'Take the urine jug out first, lid on.',
  'solids.out': 'Unlatch the bin, and lift it out: {kg}.',
  'solids.bag': 'Bag over it, turn it, tap it out. Tie the bag twice. A little may stay in.',
  'solids.bin': 'Put it into a trash bin where that is allowed. It is not compost, and not for food plants.',
  'solids.fill': 'Put new medium in, spoon by spoon, until it feels damp like used coffee grounds.',
  'solids.sawdust': 'Put new, dry sawdust in. It lasts for fewer uses: look sooner.',
  'solids.wet':
    'Too wet? Add dry medium. Or open the hatch with the fan on, a window open and nobody inside.',
  'solids.seat': 'Latch it. Its uses start again at 0.',

  'tote.see': '{tote-loads} of {tote-litres} each, {tote-kg} a load.',
  'tote.vent': 'Put the empty tote beside {outlet}. Open its vent and its filling cap.',
  'tote.hose': 'Lead the hose from {outlet} into the tote. {hose-weight} on it, or hold it.',
  'tote.pump-hose': 'Pump onto {outlet}, and its hose tied into the tote. Only then the power.',
  'tote.fill':
    'Open {tank} a little: load {load}. Watch the tote, and shut {tank} at {load-litres}. Do not fill it to the brim.',
  'tote.pump':
    'Open {tank}, then pump on: load {load}. Watch the tote. Pump off at {load-litres}, then shut {tank}.',
  'tote.off':
    'Take the hose off, and let it drain into the tote. Cap on the rig. Shut the vent and the caps of the tote.',
  'tote.tow': 'Hitch it low, and go at walking pace. Somebody walks beside it.',
  'tote.load': 'Lift {load-kg} onto an open bed, and strap it down. Never where people ride.',
  'tote.pour':
    'At the drain, put the hose in, a foot on it. Open the vent, cover your eyes, then open the tote slowly. Empty? Shut it and the vent.',
  'tote.rinse': 'Rinse the tote through, into the drain.',

  'pump.reach':
    'Is the drain within {reach}, and no more than {pump-head} above the pump? Read the label of the pump.',
  'pump.on-rig': 'Lock the pump onto {outlet}, every lug. Give it a tug.',
  'pump.fixed': 'Fix the hose end in the drain, {hose-weight} on it. Only then the power.',
  'pump.black':
    'Open {tank} (about {content}), then pump on. Switch it off when it speeds up: the tank is empty.',
  'pump.gray':
    'Open {tank} (about {content}), then pump on. It clears the hose. Switch it off when it speeds up: the tank is empty.',
  'pump.clear': 'Run a little clear water through. Pump off, power off.',

  'fresh.hands': 'Wash your hands. Nothing of this was near the waste hose.',
  'fresh.potable': 'See that the tap is marked as drinking water. Without a mark, take none.',
  'fresh.tap': 'Wipe the tap with disinfectant. Let it run a moment.',
  'fresh.hose':
    'Get out the drinking hose and a pressure regulator. This hose is only for drinking water. Read the label on the rig: it says fresh.',
  'fresh.bucket':
    'Not sure how fast it runs? A bucket of {bucket-size} takes {bucket-seconds} at the flow we know of.',
  'fresh.full': 'It is full, nothing to fill. Leave the hose where it is.',
  'fresh.never': 'There is no drinking water at {place}. Fill nothing here.',
  'fresh.see': '{fill} go in. That takes about {fill-minutes} and adds {fill-kg}.',
  'fresh.fill':
    'Put the hose a hand deep into the fresh inlet, tap on, not too fast: {fill}, about {fill-minutes}. It spits back early? That is air: wait, then go slower.',
  'fresh.jug-see': 'It takes {jug-loads} of {jug-litres}, {jug-kg} a jug.',
  'fresh.jug-pour': 'Lift with a straight back, and pour slowly: {jug-loads} of {jug-kg}.',
  'fresh.cap': 'Cap on the fresh inlet. Join both ends of the hose.',
  'fresh.read': 'Read the panel, and enter what it shows.',

  'road.drain':
    'Drain {drain-fresh} of fresh where water may run: about {drain-fresh-minutes}. {road-reserve} stay for the road.',
  'road.full': 'Fresh stays as full as it is: {content}.',
  'road.low': 'Fresh holds {content}. The road needs {road-reserve}.',
  'road.weight': 'Water and waste aboard weigh {road-kg}.',
  'road.charge': 'After its last dump black keeps {charge} of water, so that nothing dries onto the bottom.',
  'road.bowl-some': 'Leave a little water in the bowl as a seal. Lid down.',
  'road.bowl': 'Empty the bowl, shut the blade, lid down.',
  'road.pump': 'Switch the water pump off.',
  'road.heater': 'Switch the water heater off.',
  'road.slosh': 'Let cleaner and some water slosh on this drive. The tank was rinsed the day before.',
  'road.caps': 'Caps on, valves fully shut, hatch locked. Walk around the rig once.',
  'road.leftover': 'What is left of fresh goes into black at the last stop, before you dump it.',
  'road.jug': 'Put a jug of {flush-owed} within reach, for flushing on the way.',

  'aboard.welcome': 'Welcome. Water comes in a tank here, and leaves in another. This is how both last.',
  'aboard.none': 'There is no toilet aboard. Ask where the nearest one is.',
  'aboard.pedal': 'Press the pedal half: water runs into the bowl. Press it fully: the bowl empties.',
  'aboard.cassette': 'Open the blade, sit, flush a little, shut the blade. Leave no water in the bowl.',
  'aboard.plenty':
    'Before solids, let water into the bowl, two fingers deep. Then press fully, and count to five.',
  'aboard.little':
    'After liquids, flush briefly. Before solids, a little water; then press fully, and once more.',
  'aboard.seal': 'Leave a little water in the bowl when you are done. It keeps the smell out.',
  'aboard.diverting':
    'Everybody sits. Open the latch for solids only, and shut it after. Liquids never reach the solids.',
  'aboard.never':
    'Only what your body makes and paper go in. No wipes, not even flushable ones, no pads, no cleaner, no fat.',
  'aboard.fan': 'Roof fan off while the bowl is open.',
  'aboard.pump': 'Water pump on while you need water, and off after.',
  'aboard.shower': 'A shower takes {shower-litres}: get wet, water off, soap, water on, rinse.',
  'aboard.habits': 'How we do it here: {habits}.',
  'aboard.dishes': 'Wipe dishes first, then wash them in a basin. {dishes-litres} are enough for a round.',
  'aboard.light': 'A tank light comes on, the pump runs by itself, something smells? Tell us at once.',

  'arrival.aboard': 'Is somebody new aboard? Hang up the card “Aboard”, and go through it together.',
  'arrival.level': 'Level the rig: side to side first, then front to back.',
  'arrival.fresh': 'Fill fresh even where a tap is promised. A tap can fail.',
  'arrival.shut': 'Black shut, gray as you chose it. Look at every valve.',
  'arrival.shut-gray': 'Gray as you chose it, open or shut. Look at every valve.',
  'arrival.hookup': 'Shut gray again {shut-hours} before you leave.',
  'arrival.empty': 'Empty the tanks first where that was booked, before you set anything up.',
  'arrival.owed': 'Put the water for flushes on the road into black now: {flush-owed}.',
  'arrival.levels': 'Read the panel. The stay starts with these levels.',
  'house.paper-thin': 'Paper: any thin single ply.',
  'house.paper-dissolving': 'Paper: only the kind that dissolves quickly.',
  'house.paper-any': 'Paper: any kind, with plenty of water after it.',
  'house.paper-none': 'Paper goes into the lidded can, never into the bowl.',
  'house.paper-mixed': 'Flush the first wipe of paper. The rest goes into its own bag.',
  'house.solids': 'Solids somewhere else, please. The toilet aboard is for liquids.',
  'house.liquids': 'The cassette takes liquids only.',
  'house.outdoors': 'Outdoors only as the written rule allows it: who, when, how far from water.',
  'house.weekly': 'Treatment goes in once a week, on a day that everybody knows.',
  'house.wipes': 'Clean the bowl with disinfecting wipes, pump off. Bin the wipes, never flush them.',
  'house.vinegar': 'Clean the bowl with vinegar from a spray bottle, pump off.',
  'house.brush': 'Clean the bowl with mild cleaner and a brush, pump off.',
  'arrival.toilets':
    'Where is the next toilet, and what does the land allow? Look, and write it down with its source.',

  'count.level': 'Level the rig.',
  'count.fresh': 'Fill fresh.',
  'count.waste': 'Waste tanks empty, or with a known amount of water in: {known-charge}.',
  'count.shut': 'Every valve fully shut.',
  'count.what': 'Agree on what you count every single time: showers, dishes, each kind of flush.',
  'count.everybody': 'Show everybody the keys. One tap for each use.',
  'count.stop': 'Live as you always do. Stop when a tank is full: the counts say what each use takes.',

  'sanitize.waste':
    'Dump and rinse the waste tanks first: chlorine must never meet urine. Nobody flushes with this water.',
  'sanitize.filter': 'Take the filters out.',
  'sanitize.heater': 'Water heater off, and cool.',
  'sanitize.half': 'Fill fresh half from a drinking tap. Then there is room for the bleach.',
  'sanitize.fill': 'Now fill it up. With heater and lines it is {system-litres}.',
  'sanitize.dose':
    'Mix {bleach} of plain, unscented bleach ({bleach-percent}) into a jug of water, and pour it in. That is for {system-litres}. No other cleaner at the same time.',
  'sanitize.taps': 'Open every tap, hot and cold, until it smells of chlorine. Not the toilet.',
  'sanitize.hold': 'Let it stand for {bleach-hold}, or as long as the label or your local advice says.',
  'sanitize.room':
    'Flushing it out makes {system-litres} of gray. Gray has room for {gray-room}: do it in {stages}, and empty gray between them.',
  'sanitize.flush': 'Drain fresh, fill it, and run every tap until nothing smells.',
  'sanitize.back': 'Put the filters back. Heater on once it is full.',

  'lay-up.dump': 'Dump and rinse the tanks two times.',
  'lay-up.dry':
    'Leave the tanks dry, valves open for a day, or partly full with treatment. Never half full of waste.',
  'lay-up.cassette': 'Wash the cassette, let it dry, leave its spout open.',
  'lay-up.solids': 'Take the medium out. Wash and dry the bin.',
  'lay-up.fresh':
    'Drain fresh where water may run. Open the taps, and let the lines run dry or blow them out.',
  'lay-up.heater': 'Water heater off, cool and drained.',
  'lay-up.seals': 'Put the maker’s lubricant on the seals.',
  'lay-up.oil': 'Put plain olive oil on the seals, and no other kitchen oil.',
  'lay-up.caps': 'Caps on, valves fully shut.',

  'frost.night': 'Frost is in your weather. This is for tonight.',
  'frost.drain': 'Drain what is not heated: outdoor shower, outlets, low points.',
  'frost.heat': 'Switch the tank heaters on before it freezes, not after. Open cupboards to the warmth.',
  'frost.jug': 'Flush from a jug while the lines are drained: {flush-night} for a night.',
  'frost.valve': 'Thaw a frozen valve with warm water or warm air. No flame. Never force it.',
  'frost.outlet': 'Outlets shut and capped. A drip builds a plug of ice.',
  'frost.antifreeze': 'Into the lines goes only the non-toxic antifreeze that is made for them.',

  'probes.when': 'Do this when the panel says {tank} is full and it is not, or when its reading is marked.',
  'probes.water': 'Put {probe-low} to {probe-high} of warm water in, by the toilet or the drain.',
  'probes.full': 'There is no room for water in {tank}. Dump it first.',
  'probes.product': 'Add a product for probes, as its label says.',
  'probes.drive': 'Drive. Corners and brakes do the work.',
  'probes.dump': 'Dump it with the card “Dump”.',
  'probes.read': 'Read the panel. Does it say empty? Then it is believed again. Anything else is marked.',

  'seals.empty': 'Empty the toilet, and leave a little water over the blade.',
  'seals.clean': 'Wipe the seal and its groove with a soft cloth and mild cleaner.',
  'seals.lubricant': 'Put the maker’s lubricant on it, thin, all around.',
  'seals.oil': 'Put plain olive oil on it, thin, all around. No other kitchen oil.',
  'seals.plate': 'Seat the plate of the cassette, and do its seal too.',
  'seals.look': 'Look for a tear or a hard spot. Found one? Fit a new seal before the next trip.',
  'seals.try': 'Open and shut it a few times. It should hold water overnight.',

  'bucket.take': 'Take a bucket with a mark at {bucket-size}, and a clock.',
  'bucket.open': 'Open the tap as you will have it, through the hose you will use.',
  'bucket.time':
    'Start the clock with the water, and stop it at the mark. Last time it took {bucket-seconds}.',
  'bucket.again': 'Do it once more. Use the average.',
  'bucket.write': 'Enter the seconds. From now on the cards use the flow of this tap.',

  'by-hand.out': 'Take {moved} out of {tank}, where that is allowed.',
  'by-hand.in': 'Put {moved} into {tank}.',
  'by-hand.over': 'Move {moved} from {from} into {tank}.',

  'metered.empty': 'Empty {tank} as far as you always do.',
  'metered.level': 'Level the rig.',
  'metered.hose': 'Take the drinking hose.',
  'metered.hose-waste': 'Take the rinse hose, with a vacuum breaker on the tap.',
  'metered.shut': 'Valves fully shut.',
  'metered.fill':
    'Meter to zero, or count buckets. Fill slowly to {metered-litres}, about {meter-minutes}. Stop there, or earlier where it comes out at the top.',
  'metered.marks': 'Write down the amount at which each light comes on.',
  'metered.write': 'Enter the amounts. From now on this tank counts as measured.',
})
