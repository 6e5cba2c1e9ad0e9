package io.causticon.adversary;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
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
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.workshop.assessment.Assessment;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Searches for logs that open the gate of a batch in which something is wrong: a beam search over lines, the most
 * probable first. A line may be calm because it was, or because it was amended or taken back; every doubt is answered
 * with yes, as somebody who wants it released would.
 */
final class Game {

    private static final Instant BEGUN = Instant.parse("2026-10-20T10:00:00Z");
    private static final Catalogue TABLES = Catalogue.standard();
    private static final int BARS = 12;
    private static final int LOOKED_AT_ON_DAY = 40;

    /** So short a search is one for a test. */
    private static final int FEW_LINES = 2;

    private final Assessment.Known known =
            new Assessment.Known(new Diagnostician(StandardKnowledge.all()), KnownVessels.NONE);
    private final Truth truth;
    private final BatchPlan plan;
    private final List<LoggedEntry> made;
    private final int width;
    private final int depth;
    private int judged;

    /**
     * @param width how many logs are gone on with at each step
     * @param depth how many lines a log may have
     */
    Game(Truth truth, int width, int depth) {
        this.truth = truth;
        this.plan = plan(truth.isDivided());
        this.made = made();
        this.width = width;
        this.depth = depth;
    }

    /**
     * A log that opens the gate.
     *
     * @param probability how probably it is written, given what is wrong, by whoever wants it so
     * @param lines what it says
     */
    record Opened(double probability, List<Move> lines) {}

    /** A log on the way there. */
    private record Node(double probability, List<Move> lines, double blocked) {}

    /** The most probable first. */
    List<Opened> play(int most) {
        List<Move> all = Move.all(truth.isDivided(), depth <= FEW_LINES);
        List<Opened> opened = new ArrayList<>();
        List<Node> beam = List.of(new Node(truth.unseenAtTheMake(), List.of(), Double.MAX_VALUE));
        Set<Set<Move>> seen = new HashSet<>();
        for (int step = 0; step < depth; step++) {
            List<Node> next = new ArrayList<>();
            for (Node node : beam) {
                for (Move move : all) {
                    List<Move> lines = new ArrayList<>(node.lines);
                    lines.add(move);
                    if (!node.lines.contains(move)
                            && isWorthIt(node, move, opened, most)
                            && seen.add(new HashSet<>(lines))) {
                        look(node, move, lines, opened, next);
                    }
                }
            }
            beam = next.stream()
                    .sorted(Comparator.comparingDouble(Node::blocked)
                            .thenComparing(Comparator.comparingDouble(Node::probability)
                                    .reversed()))
                    .limit(width)
                    .toList();
        }
        return opened.stream()
                .sorted(Comparator.comparingDouble(Opened::probability).reversed())
                .limit(most)
                .toList();
    }

    /** What is less probable than all that is known, or can never count, is not gone on with. */
    private boolean isWorthIt(Node node, Move move, List<Opened> opened, int most) {
        double probability = node.probability * probability(node, move);
        return probability > 1e-6
                && (opened.size() < most
                        || opened.stream()
                                        .filter(o -> o.probability > probability)
                                        .count()
                                < most);
    }

    private void look(Node node, Move move, List<Move> lines, List<Opened> opened, List<Node> next) {
        double probability = node.probability * probability(node, move);
        Assessment judgement = judge(lines);
        if (judgement.mayBeReleased()) {
            opened.add(new Opened(probability, lines));
        } else {
            long missing = judgement.gate().map(g -> g.missing().size()).orElse(99);
            double hazard = judgement.worstHazard().map(h -> h.probability()).orElse(1.);
            next.add(new Node(probability, lines, missing + hazard - Math.log10(probability)));
        }
    }

    /**
     * The same bar washed with again burns again: what was calm on it is calm, what is wrong all through is no better
     * with the next.
     */
    private double probability(Node node, Move move) {
        if (move.how() != Move.Way.AS_IT_WAS) {
            return 1;
        }
        boolean before = node.lines.stream()
                .anyMatch(m -> m.look() == move.look()
                        && m.bar() == move.bar()
                        && m.part() == move.part()
                        && m.how() == Move.Way.AS_IT_WAS);
        return before ? 1 : truth.calm(move);
    }

    int judged() {
        return judged;
    }

    private Assessment judge(List<Move> moves) {
        judged++;
        List<LoggedEntry> lines = new ArrayList<>(made);
        for (Move move : moves) {
            lines.addAll(lines(move, lines.size()));
        }
        return Assessment.of(plan, new BatchLog(BEGUN, lines), known, BEGUN.plus(Duration.ofDays(LOOKED_AT_ON_DAY)));
    }

    private List<LoggedEntry> lines(Move move, int number) {
        Instant at = BEGUN.plus(Duration.ofDays(move.day()))
                .plus(Duration.ofHours(6))
                .plusSeconds(number);
        LoggedEntry.Revision calm = revision(1, at, at, entry(move, true), false);
        if (move.how() == Move.Way.AS_IT_WAS) {
            return List.of(new LoggedEntry("line" + number, calm, List.of()));
        }
        Instant later = at.plus(Duration.ofDays(1));
        LoggedEntry.Revision bad = revision(1, at, at, entry(move, false), false);
        if (move.how() == Move.Way.AMENDED) {
            return List.of(
                    new LoggedEntry("line" + number, revision(2, at, later, entry(move, true), false), List.of(bad)));
        }
        return List.of(
                new LoggedEntry("line" + number, revision(2, at, later, entry(move, false), true), List.of(bad)),
                new LoggedEntry("line" + number + "b", calm, List.of()));
    }

    private static LoggedEntry.Revision revision(
            int number, Instant at, Instant recorded, Entry entry, boolean withdrawn) {
        return new LoggedEntry.Revision(
                number, at, recorded, "adversary", entry, withdrawn, "", Set.of(DoubtKind.values()));
    }

    private static Entry entry(Move move, boolean calm) {
        Bars bars = move.bar() == 0 && move.part() == Move.Part.NOT_SAID ? null : bars(move);
        Presence presence = calm ? Presence.LOOKED_AND_ABSENT : Presence.SEEN;
        return switch (move.look()) {
            case WASH -> new Entry.WashTested(calm ? WashFeel.CALM : WashFeel.BURNING, bars);
            case TITRATE -> new Entry.Titrated(calm ? 0.02 : 0.4, bars);
            case PEN -> new Entry.PhRead(calm ? 9.8 : 11.5, PhMethod.METER, bars);
            case SPOTS -> new Entry.Observed("white-spots", presence, bars);
            case WEEPING -> new Entry.Observed("weeping-dots", presence, bars);
            case SKEWER -> new Entry.Observed("soft-below", presence, bars);
            case CRUST -> new Entry.Observed("thick-crust", presence, bars);
            case BRITTLE -> new Entry.Observed("brittle", presence, bars);
            case ZAP -> new Entry.Observed("zap", presence, bars);
            case MOULD -> new Entry.Observed("mouldy", presence, bars);
        };
    }

    private static Bars bars(Move move) {
        Bars some =
                move.bars() > 1 ? Bars.some(move.bars()) : move.bar() == 0 ? Bars.some(1) : Bars.numbered(move.bar());
        return move.part() == Move.Part.NOT_SAID
                ? some
                : some.of(Named.called(move.part() == Move.Part.GOOD ? "cream" : "goat"));
    }

    /** Weighed as planned by the log, whatever is true, lye in, poured at a light trace and cut. */
    private List<LoggedEntry> made() {
        List<LoggedEntry> lines = new ArrayList<>();
        Weights planned = Weights.planned(plan.formula());
        planned.fats()
                .forEach(f ->
                        add(lines, 5, new Entry.Weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null)));
        add(lines, 8, new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        planned.liquids()
                .forEach(l -> add(
                        lines, 9, new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
        add(lines, 30, new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(41)));
        add(lines, 40, new Entry.LyeIntoFats());
        add(lines, 50, new Entry.StageReached(Stage.LIGHT, null));
        add(lines, 60, new Entry.Poured(Temperature.celsius(39)));
        add(lines, 60 * 20, new Entry.Cut(BARS));
        return lines;
    }

    private static void add(List<LoggedEntry> lines, int minute, Entry entry) {
        lines.add(LoggedEntry.first("made" + lines.size(), BEGUN.plus(Duration.ofMinutes(minute)), "adversary", entry));
    }

    private static BatchPlan plan(boolean divided) {
        Formula formula = new Formula(
                List.of(fat("olive-oil", 500), fat("lard", 264), fat("coconut-oil-76", 236)),
                AlkaliChoice.naoh(Share.percent(98)),
                Share.percent(5),
                LiquidTarget.concentration(.32),
                List.of(new LiquidPart(TABLES.liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID)),
                List.of());
        BatchPlan plan = new BatchPlan(
                "Played", formula, Process.COLD, GelGoal.ALLOW, null, Temperature.celsius(40), Scales.KITCHEN, "");
        List<Portion> parts =
                List.of(Portion.sharing("cream", Share.percent(50)), Portion.sharing("goat", Share.percent(50)));
        return divided
                ? plan.with(Pouring.PLAIN.divided(
                        new Portioning(Portioning.Way.CUPS, parts, Share.NONE, null, Portioning.LyeRoute.OWN)))
                : plan;
    }

    private static FatPortion fat(String id, double grams) {
        return new FatPortion(TABLES.fat(id), Mass.grams(grams));
    }
}
