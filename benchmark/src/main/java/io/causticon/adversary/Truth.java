package io.causticon.adversary;

/**
 * What is truly the matter with a batch, and how probably each look then comes out calm. Free alkali in per cent NaOH
 * of the soap, some tenth of the excess of alkali in points; curves are those by which batches are drawn for the
 * evaluation, and know nothing of what the diagnosis goes by.
 */
enum Truth {
    /** Weights were logged as planned, and a point more lye went in than the fats take. */
    EXCESS_1(1, Fault.ALKALI),
    EXCESS_2(2, Fault.ALKALI),
    EXCESS_5(5, Fault.ALKALI),
    EXCESS_20(20, Fault.ALKALI),
    /** Liquor was closed in, in places. */
    POCKETS(0, Fault.POCKETS),
    /** Fats and lye parted. */
    SEPARATED(0, Fault.PARTED),
    /** One of two parts with lye of its own has five points too much. */
    ONE_BAD_PART(5, Fault.PART),
    /** Something fresh in it rots. */
    SPOILED(0, Fault.SPOILED);

    private enum Fault {
        ALKALI,
        POCKETS,
        PARTED,
        PART,
        SPOILED
    }

    /** Per cent of NaOH for a point of excess, in a soap of usual water. */
    private static final double PER_POINT = .095;

    private final double freeAlkali;
    private final Fault fault;

    Truth(double points, Fault fault) {
        this.freeAlkali = PER_POINT * points;
        this.fault = fault;
    }

    boolean isDivided() {
        return fault == Fault.PART;
    }

    /** Free alkali of the part that is asked about. */
    private double alkali(Move move) {
        return fault == Fault.PART && move.part() == Move.Part.GOOD ? 0 : freeAlkali;
    }

    /** How probably this comes out calm, 0 to 1, the first time that it is done on a bar. */
    double calm(Move move) {
        double free = alkali(move);
        return switch (move.look()) {
            case WASH ->
                (1 - (.01 + .93 * rises(free, .15, .05)))
                        * (fault == Fault.POCKETS ? 1 - .45 * .8 : fault == Fault.PARTED ? .7 : 1);
            case TITRATE -> below(.05, free) * (fault == Fault.POCKETS ? .6 : fault == Fault.PARTED ? .5 : 1);
            case PEN -> 1 - (.03 + .9 * rises(free, .25, .08));
            case SPOTS -> fault == Fault.POCKETS ? Math.pow(.58, move.bars()) : Math.pow(.986, move.bars());
            case WEEPING -> fault == Fault.POCKETS ? .83 : fault == Fault.PARTED ? .88 : .996;
            case SKEWER -> fault == Fault.PARTED ? .5 : .99;
            case CRUST -> 1 - .6 * rises(free, .3, .1);
            case BRITTLE -> .97 - .5 * rises(free, .35, .1);
            case ZAP -> 1 - (.02 + .9 * rises(free, .12, .04));
            case MOULD -> fault == Fault.SPOILED ? .3 : .997;
        };
    }

    /**
     * How probably what everybody sees without looking for it was seen by the first day, and is logged: 1 where there
     * is nothing to be seen.
     */
    double unseenAtTheMake() {
        return fault == Fault.PARTED ? .2 : 1;
    }

    private static double rises(double value, double middle, double width) {
        return 1 / (1 + Math.exp(-(value - middle) / width));
    }

    /** A reading with an error of 0.03 and an eighth of what is there is at most so much. */
    private static double below(double limit, double free) {
        double sd = Math.hypot(.03, .12 * free);
        return .5 * (1 + erf((limit - free) / sd / Math.sqrt(2)));
    }

    /** Abramowitz and Stegun 7.1.26, to 1.5e-7. */
    private static double erf(double x) {
        double t = 1 / (1 + .3275911 * Math.abs(x));
        double y = 1
                - t
                        * (.254829592 + t * (-.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
                        * Math.exp(-x * x);
        return Math.copySign(y, x);
    }
}
