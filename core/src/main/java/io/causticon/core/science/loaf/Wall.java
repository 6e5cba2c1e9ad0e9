package io.causticon.core.science.loaf;

import java.util.List;

/**
 * One face of a mould with what is wrapped round it, as one lump of heat capacity between two resistances.
 *
 * @param inner resistance from the soap to the lump, m2 K/W
 * @param outer resistance from the lump to the room, the air film included, m2 K/W
 * @param capacity heat capacity of the lump, J/(m2 K)
 */
record Wall(double inner, double outer, double capacity) {

    /** A sheet of material: thickness in m, conductivity in W/(m K), volumetric heat capacity in J/(m3 K). */
    public record Layer(double thickness, double conductivity, double heatCapacity) {

        public static final Layer WOOD_15 = new Layer(.015, .12, .8e6);
        public static final Layer WOOD_10 = new Layer(.010, .12, .8e6);
        public static final Layer SILICONE_2 = new Layer(.002, .25, 1.5e6);
        public static final Layer PVC_3 = new Layer(.003, .17, 1.4e6);
        public static final Layer CARD_3 = new Layer(.003, .065, .25e6);
        public static final Layer TOWEL_THIN = new Layer(.006, .05, .15e6);
        public static final Layer TOWELS = new Layer(.012, .05, .15e6);
        public static final Layer STILL_AIR = new Layer(.016, .09, 1.2e3);

        double resistance() {
            return thickness / conductivity;
        }

        double capacity() {
            return thickness * heatCapacity;
        }
    }

    public static final double FILM_SIDE = 8;
    public static final double FILM_TABLE = 6;

    /** On a rack in an oven without a fan: air from all sides. */
    public static final double FILM_OVEN = 10;

    public static final double FILM_TOP = 11;

    /** The layers from the soap outwards and the film of air outside, W/(m2 K). */
    public static Wall of(double film, List<Layer> layers) {
        double resistance = 0;
        double capacity = 0;
        double weighted = 0;
        for (Layer layer : layers) {
            weighted += layer.capacity() * (resistance + layer.resistance() / 2);
            resistance += layer.resistance();
            capacity += layer.capacity();
        }
        double inner = capacity == 0 ? 0 : weighted / capacity;
        return new Wall(inner, resistance + 1 / film - inner, capacity);
    }

    /** Overall heat transfer, W/(m2 K). */
    public double transfer() {
        return 1 / (inner + outer);
    }

    Wall looserBy(double factor) {
        return new Wall(inner, outer / factor, capacity);
    }
}
