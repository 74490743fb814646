/** What a coaxial cable is made of, and what each part decides: in our own words, for whoever holds one for the first time. */

export interface Part {
  id: string;
  name: string;
  text: string;
}

/** From the inside out, as the drawing has them. */
export const PARTS: readonly Part[] = [
  {
    id: 'centre-conductor',
    name: 'Centre conductor',
    text: 'It carries the current one way, in a skin that gets thinner as the frequency rises; so its surface decides, not its core. A thick one loses less. A solid one is a little better and stays where it is bent; a stranded one bears being moved. Copper over steel is strong and loses more on the low bands than its size suggests, because there the skin reaches into the steel.',
  },
  {
    id: 'dielectric',
    name: 'Dielectric',
    text: 'It holds the centre in the middle. The more air is in it, the faster the wave and the less is lost: solid plastic, foam, spacers, in that order. Foam and air bend less willingly, and water that gets in wanders along and ruins it. Heat softens it, and then the centre slowly moves to one side in a tight bend.',
  },
  {
    id: 'foil',
    name: 'Foil',
    text: 'A closed tube of thin metal: no holes for the high bands to leak through, and a smooth way back for the current. It cracks when it is bent again and again, and nobody sees it: the cable then measures worse from year to year.',
  },
  {
    id: 'braid',
    name: 'Braid',
    text: 'Woven wires that carry the current back and can be moved. Close weave loses and leaks less; a second braid, or foil below it, is better still. From a poor connector it draws water in by the metre, and dark braid at an end means that it has.',
  },
  {
    id: 'jacket',
    name: 'Jacket',
    text: 'What keeps all of it dry and whole. Polyethylene bears sun, wet and ground, and is stiff in the cold; soft PVC is pleasant to lay, and sun and frost make it brittle; some PVC gives off its softener into the dielectric over the years. Fluoropolymers bear heat. A nick in it is the beginning of the end.',
  },
];

/** What the sheet says of a cable as a whole. */
export const PROPERTIES: readonly Part[] = [
  {
    id: 'impedance',
    name: 'Impedance',
    text: 'The ratio of voltage to current of a wave that travels alone. It follows from how thick the centre is against the shield, and from the dielectric: not from the length. Most transmitters want 50 Ω, television is 75 Ω; a cable of another impedance works, but transforms what hangs on its end.',
  },
  {
    id: 'velocity-factor',
    name: 'Velocity factor',
    text: 'How fast a wave is in it against light in empty space: 0.66 in solid polyethylene, 0.85 in foam. It tells how long a piece is in wavelengths, and how far away a fault lies.',
  },
  {
    id: 'attenuation',
    name: 'Attenuation',
    text: 'What a length of it loses into its own impedance. The metal’s part grows with the square root of the frequency, the dielectric’s with the frequency itself; so four times the frequency is about twice the loss, and more on the highest bands. It is stated per 100 m or per 100 ft: the commonest slip there is.',
  },
  {
    id: 'bend',
    name: 'Bends',
    text: 'Two radii: one for a bend that is made once and stays, a larger one for a bend that is made again and again. Tighter than that, the dielectric is squashed, the foil cracks, and the place reflects.',
  },
  {
    id: 'burial',
    name: 'In the ground',
    text: 'Stones press, water stands, animals gnaw. A cable made for it has a thick polyethylene jacket, some a filling that keeps water from wandering. Others go into a duct, with a way out for the water. Before digging, ask what else lies there.',
  },
  {
    id: 'cold',
    name: 'Cold',
    text: 'Two temperatures again: how cold it may be while it lies still, and how cold while it is unrolled. The second is the higher one. Warm the drum up indoors before laying it in the frost.',
  },
  {
    id: 'sun',
    name: 'Sun',
    text: 'Ultraviolet light makes soft jackets chalky and then lets the rain in. Black polyethylene with soot in it lasts for decades; a pale or soft jacket outdoors is for a season.',
  },
  {
    id: 'rating',
    name: 'What it bears',
    text: 'Heat limits the average power: what is lost warms the centre, more on high bands, more in a warm loft, more where a standing wave has its crest. Voltage limits the peaks, and a bad match raises them. Stay well below both; a warm connector is a bad connector.',
  },
];
