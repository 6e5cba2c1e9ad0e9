package io.causticon.evaluation;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.draw.Logging;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * One batch as it really is, and what its maker sees of it. The superfat follows from the masses that really went in,
 * in moles; what is seen follows from free alkali in the soap by curves and frequencies of its own (judgements, laid
 * down before the diagnosis was asked).
 */
final class DrawnBatch {

    /** Which bars are cut, of a dozen. */
    private static final List<Integer> CUT = List.of(2, 4, 6, 8, 10, 11);

    private static final List<Integer> CUT_AGAIN = List.of(3, 5, 7, 9, 12);
    private static final int BARS = 12;
    private static final int LOOKED_AT = 14;

    /** Per cent NaOH that a maker takes for a reason to titrate again. */
    private static final double LIMIT = .05;

    private static final Instant BEGUN = Instant.parse("2026-10-01T10:00:00Z");
    private static final double NAOH = 39.997;
    private static final double KOH = 56.1056;
    private static final Catalogue TABLES = Catalogue.standard();

    private final Random random;
    private final Logging logging;
    private final BatchPlan plan;
    private final List<LoggedEntry> lines = new ArrayList<>();
    private final double superfat;
    private final double freeAlkaliPercent;
    private final boolean pockets;
    private final boolean separated;
    private final boolean ash;
    private final boolean tender;
    private final List<Integer> spotted = new ArrayList<>();
    private boolean asked;
    private int washed = 7;
    private int titrated;

    DrawnBatch(Random random, Logging logging) {
        this.random = random;
        this.logging = logging;
        this.plan = drawPlan();
        Weights planned = Weights.planned(plan.formula());
        double[] fats = planned.fats().stream()
                .mapToDouble(f -> f.mass().grams() * (1 + .002 * random.nextGaussian()))
                .toArray();
        double lye = planned.naoh().grams() + .3 * random.nextGaussian();
        Slip slip = slip(fats);
        lye *= slip.lye();
        double needed = 0;
        for (int i = 0; i < fats.length; i++) {
            double saponification =
                    planned.fats().get(i).fat().saponificationValue() * (1 + .006 * random.nextGaussian());
            needed += fats[i] * saponification / 1000 / KOH;
        }
        double purity = .978 + .006 * random.nextGaussian();
        this.superfat = 1 - lye * purity / NAOH / needed;
        this.freeAlkaliPercent =
                100 * Math.max(0, -superfat) * needed * NAOH / planned.total().grams();
        this.pockets = chance(.012);
        this.separated = chance(.008);
        this.ash = chance(.25);
        this.tender = chance(.03);
        log(planned, slip);
    }

    /** What went wrong at the scale: the factor on the lye, and whose tare was not taken. */
    private record Slip(double lye, int tareOf) {}

    /** One batch in eight has one; some of them no list of slips has. */
    private Slip slip(double[] fats) {
        if (!chance(.125)) {
            return new Slip(1, -1);
        }
        int fat = random.nextInt(fats.length);
        switch (random.nextInt(9)) {
            case 0 -> fats[fat] = 0;
            case 1 -> fats[fat] *= 2;
            case 2 -> {
                int other = (fat + 1) % fats.length;
                double kept = fats[fat];
                fats[fat] = fats[other];
                fats[other] = kept;
            }
            case 3 -> {
                fats[fat] = Math.max(0, fats[fat] - 84);
                return new Slip(1, fat);
            }
            // A smeared figure: any fat by up to fifteen per cent.
            case 4 -> fats[fat] *= .85 + .3 * random.nextDouble();
            // Half of a jug stays in it.
            case 5 -> fats[fat] *= .5;
            case 6 -> {
                return new Slip(1.02 + .12 * random.nextDouble(), -1);
            }
            case 7 -> {
                return new Slip(.85 + .1 * random.nextDouble(), -1);
            }
            default -> {
                return new Slip(2, -1);
            }
        }
        return new Slip(1, -1);
    }

    private BatchPlan drawPlan() {
        Formula formula = new Formula(
                List.of(fat("olive-oil", 500), fat("lard", 264), fat("coconut-oil-76", 236)),
                AlkaliChoice.naoh(Share.percent(98)),
                Share.percent(new double[] {4, 5, 6, 8}[random.nextInt(4)]),
                LiquidTarget.concentration(.28 + .06 * random.nextDouble()),
                List.of(new LiquidPart(TABLES.liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID)),
                List.of());
        return new BatchPlan(
                "Drawn", formula, Process.COLD, GelGoal.ALLOW, null, Temperature.celsius(40), Scales.KITCHEN, "");
    }

    private static FatPortion fat(String id, double grams) {
        return new FatPortion(TABLES.fat(id), Mass.grams(grams));
    }

    private boolean chance(double p) {
        return random.nextDouble() < p;
    }

    /** Rises from nothing to one about a middle. */
    private double from(double middle, double width) {
        return 1 / (1 + Math.exp(-(freeAlkaliPercent - middle) / width));
    }

    private void log(Weights planned, Slip slip) {
        boolean weighed = chance(.75);
        if (weighed) {
            for (int i = 0; i < planned.fats().size(); i++) {
                FatPortion fat = planned.fats().get(i);
                boolean inAJug = i == slip.tareOf();
                add(
                        .1,
                        new Entry.Weighed(
                                Weighable.fat(fat.fat().id()),
                                fat.mass(),
                                inAJug || chance(.3) ? Tare.NOT_SAID : Tare.TAKEN,
                                inAJug ? Named.called("second jug") : null));
            }
            add(.2, new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
            add(.2, new Entry.Weighed(Weighable.liquid("distilled-water"), planned.water(), Tare.TAKEN, null));
        }
        add(1, new Entry.LyeIntoFats());
        add(1.4, new Entry.StageReached(separated && chance(.6) ? Stage.STREAKS : Stage.LIGHT, null));
        add(1.5, new Entry.Poured(Temperature.celsius(34 + 8 * random.nextDouble())));
        add(1.6, new Entry.Kept(MouldCare.COVERED, null));
        add(30, new Entry.Cut(BARS));
        looks();
        tests();
    }

    private void looks() {
        seen(4, "oil-layer", separated ? .8 : .003);
        seen(20, "soft-below", separated ? .5 : .01);
        seen(24, "brittle", .03 + .5 * from(.35, .1));
        boolean crust = ash && chance(.12) || chance(from(.3, .1) * .6);
        seen(96, "thin-bloom", ash ? .9 : .03 + .2 * from(.2, .1));
        seen(96, "thick-crust", crust ? 1 : .01);
        if (crust) {
            boolean fed = chance(from(.2, .06));
            seen(240, "crust-grows", fed ? .8 : .05);
            seen(241, "crust-resists", fed ? .8 : .08);
            seen(242, "crust-under-cover", fed ? .6 : .03);
        }
        cut(48, "white-spots", pockets ? .42 : .014);
        cut(49, "weeping-dots", pockets ? .17 : separated ? .12 : .004);
    }

    /**
     * Three bars are cut; a pocket is in one and not in its neighbour. What was seen is told of its bar, what was not
     * of all of them. Whoever sees something cuts four more a day later, and tests another bar.
     */
    private void cut(double hour, String finding, double oneBar) {
        if (cut(hour, finding, oneBar, CUT)) {
            cut(hour + 24, finding, oneBar, CUT_AGAIN);
        }
    }

    private boolean cut(double hour, String finding, double oneBar, List<Integer> bars) {
        List<Integer> there = bars.stream().filter(bar -> chance(oneBar)).toList();
        List<Integer> clean = bars.stream().filter(bar -> !there.contains(bar)).toList();
        spotted.addAll(there);
        if (!there.isEmpty()) {
            add(hour, new Entry.Observed(finding, Presence.SEEN, Bars.numbered(there.toArray(Integer[]::new))));
        }
        if (!clean.isEmpty() && (logging != Logging.ONLY_WHAT_IS_ODD || !there.isEmpty() || asked)) {
            add(
                    hour + .01,
                    new Entry.Observed(
                            finding, Presence.LOOKED_AND_ABSENT, Bars.numbered(clean.toArray(Integer[]::new))));
        }
        return !there.isEmpty();
    }

    private WashFeel wash() {
        boolean meetsAPocket = pockets && chance(.45);
        double burns = .01 + .93 * from(.15, .05) + (tender ? .3 : 0) + (meetsAPocket ? .8 : 0) + (separated ? .3 : 0);
        if (chance(burns)) {
            return WashFeel.BURNING;
        }
        return chance(.03 + .5 * from(.15, .04)) ? WashFeel.TIGHT : WashFeel.CALM;
    }

    private void tests() {
        WashFeel first = wash();
        add(24 * 7, new Entry.WashTested(first, Bars.numbered(1)));
        // Whoever does not like what she feels tries another bar some days later.
        if (first != WashFeel.CALM || !spotted.isEmpty()) {
            add(24 * 10.5, new Entry.WashTested(wash(), Bars.numbered(4)));
        }
        if (chance(.5)) {
            double strip = 9.3 + .5 * random.nextGaussian() + from(.4, .15);
            add(24 * 7 + 1, new Entry.PhRead(Math.round(Math.min(13, strip) * 2) / 2.0, PhMethod.STRIP));
        }
        // Whoever reads more than the limit, or saw spots, titrates another bar; where several have them, of those.
        boolean often = spotted.size() > 1;
        if (logging == Logging.ALL_LOOKED_AT
                && (titrate(24 * 8, often ? spotted.get(0) : 3) > LIMIT || !spotted.isEmpty())) {
            titrate(24 * 9, often ? spotted.get(1) : 7);
        }
    }

    /** Liquor that was met, or lye that sank where fats and lye parted, on top of what is left all through. */
    private double titrate(double hour, int bar) {
        // What is asked for is taken from the spots, or from the top of the bar to its base.
        double closed = pockets && chance(spotted.contains(bar) ? .85 : .4) ? some(.8) : 0;
        double sank = separated && chance(asked ? .8 : .5) ? some(.5) : 0;
        double found = Math.max(freeAlkaliPercent, closed + sank);
        double read = Math.max(0, found * (1 + .12 * random.nextGaussian()) + .03 * random.nextGaussian());
        double told = Math.round(read * 100) / 100.0;
        add(hour, new Entry.Titrated(told, Bars.numbered(bar)));
        return told;
    }

    /**
     * Does what is asked of her, without waiting for one outcome before the next look.
     *
     * @param steps in the order in which they are asked for
     */
    void follow(List<Asked> steps) {
        asked = true;
        double hour = LOOKED_AT * 24;
        for (Asked step : steps) {
            hour += .01;
            switch (step.what()) {
                case CUT -> cut(hour, step.finding(), oneBar(step.finding()), CUT_AGAIN);
                case WASH -> add(hour += 24 * 3, new Entry.WashTested(wash(), Bars.numbered(++washed)));
                case TITRATE -> {
                    if (logging == Logging.ALL_LOOKED_AT) {
                        titrate(hour, spotted.isEmpty() ? ++washed : spotted.get((2 + titrated++) % spotted.size()));
                    }
                }
                case LOOK ->
                    add(
                            hour,
                            new Entry.Observed(
                                    step.finding(),
                                    chance(shown(step.finding())) ? Presence.SEEN : Presence.LOOKED_AND_ABSENT));
            }
        }
    }

    private double oneBar(String finding) {
        boolean dots = finding.equals("weeping-dots");
        return pockets ? dots ? .17 : .42 : separated && dots ? .12 : dots ? .004 : .014;
    }

    private double shown(String finding) {
        return switch (finding) {
            case "white-spots", "weeping-dots" -> oneBar(finding);
            case "soft-below" -> separated ? .5 : .01;
            case "brittle" -> .03 + .5 * from(.35, .1);
            default -> .01;
        };
    }

    private double some(double mean) {
        return mean * -Math.log(1 - random.nextDouble());
    }

    private void seen(double hour, String finding, double probability) {
        boolean there = chance(probability);
        if (there || logging != Logging.ONLY_WHAT_IS_ODD) {
            add(hour, new Entry.Observed(finding, there ? Presence.SEEN : Presence.LOOKED_AND_ABSENT));
        }
    }

    private void add(double hour, Entry entry) {
        lines.add(LoggedEntry.first(
                "line" + lines.size(), BEGUN.plus(Duration.ofSeconds(Math.round(hour * 3600))), "drawn", entry));
    }

    BatchPlan plan() {
        return plan;
    }

    BatchLog log() {
        return new BatchLog(BEGUN, lines);
    }

    Instant lookedAt() {
        return BEGUN.plus(Duration.ofDays(LOOKED_AT));
    }

    /** After whoever was asked to has looked once more. */
    Instant lookedAtAgain() {
        return lookedAt().plus(Duration.ofDays(10));
    }

    double superfat() {
        return superfat;
    }

    /** Too much alkali by a point or more, or liquor somewhere. */
    boolean isHazardous() {
        return superfat < -.01 || pockets || separated;
    }

    boolean hasPockets() {
        return pockets;
    }

    boolean isSound() {
        return superfat > 0 && !pockets && !separated;
    }
}
