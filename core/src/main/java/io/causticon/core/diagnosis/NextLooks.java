package io.causticon.core.diagnosis;

import io.causticon.core.quantity.Interval;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * Ranks what to look at next by the information it is expected to give: first about whether there is any hazard, then, at a tenth of
 * the weight, about the leading condition. A look that costs more time must give more.
 */
final class NextLooks {

    private static final double WEIGHT_OF_COSMETICS = 0.1;
    private static final double MINUTES_THAT_HALVE = 120;
    /** More than this nobody reads. */
    private static final int MOST = 8;

    private static final double WORTH_LOOKING = 1e-4;
    private static final Interval CERTAIN = Interval.between(1e-9, 1 - 1e-9);
    private static final double LN_2 = Math.log(2);

    private final Network network;
    private final Belief belief;
    private final int leader;

    NextLooks(Network network, Belief belief) {
        this.network = network;
        this.belief = belief;
        this.leader = leader();
    }

    List<NextLook> ranked(Set<Finding> known, Duration age) {
        List<Scored> scored = new ArrayList<>();
        for (int f = 0; f < network.findings().size(); f++) {
            Finding finding = network.findings().get(f);
            if (!known.contains(finding) && isOffered(finding, age)) {
                scored.add(score(f));
            }
        }
        return scored.stream()
                .filter(s -> s.score() > WORTH_LOOKING)
                .sorted(Comparator.comparingDouble(Scored::score).reversed())
                .limit(MOST)
                .map(s -> told(s.look()))
                .toList();
    }

    /** Its outcomes are told for the condition that they move most, of those that bring it about. */
    private NextLook told(NextLook look) {
        int f = network.indexOf(look.finding());
        NextLook best = look;
        for (int c = 0; c < network.conditions().size(); c++) {
            if (network.canBringAbout(c, f)) {
                Belief.Outlook outlook = belief.outlook(f, c);
                if (moves(outlook.conditionIfNot(), outlook.conditionIfFound()) > moves(best.ifNot(), best.ifFound())) {
                    best = new NextLook(
                            look.finding(), look.information(), look.likely(), network.conditions().get(c), outlook.conditionIfFound(), outlook.conditionIfNot());
                }
            }
        }
        return best;
    }

    /** In decibans. */
    private static double moves(double ifNot, double ifFound) {
        return Weight.between(CERTAIN.clamp(ifNot), CERTAIN.clamp(ifFound)).decibans();
    }

    private boolean isOffered(Finding finding, Duration age) {
        boolean pot = finding.group() == Finding.Group.POT;
        boolean touchedTooSoon = touchesSkin(finding) && belief.anyHazard() > Diagnosis.CALM_ENOUGH_TO_TOUCH;
        return !pot && !touchedTooSoon && finding.absenceClears() && age.compareTo(finding.from()) >= 0;
    }

    /** Whether somebody washes with it, tastes it or is touched by it. */
    private static boolean touchesSkin(Finding finding) {
        return finding.group() == Finding.Group.USE || finding.group() == Finding.Group.SKIN && !finding.isMeasured();
    }

    private record Scored(NextLook look, double score) {}

    private Scored score(int f) {
        Belief.Outlook outlook = belief.outlook(f, leader);
        double likely = outlook.likely();
        double aboutHazard = gain(belief.anyHazard(), likely, outlook.hazardIfFound(), outlook.hazardIfNot());
        double aboutLeader = gain(belief.of(leader), likely, outlook.conditionIfFound(), outlook.conditionIfNot());
        Finding finding = network.findings().get(f);
        NextLook look = new NextLook(
                finding, aboutHazard, likely, network.conditions().get(leader), outlook.conditionIfFound(), outlook.conditionIfNot());
        double patience = Math.pow(2, -finding.minutes() / MINUTES_THAT_HALVE);
        return new Scored(look, (aboutHazard + WEIGHT_OF_COSMETICS * aboutLeader) * patience);
    }

    /** Expected drop of entropy, bits. */
    private static double gain(double before, double likely, double ifFound, double ifNot) {
        return entropy(before) - likely * entropy(ifFound) - (1 - likely) * entropy(ifNot);
    }

    private static double entropy(double p) {
        return p <= 0 || p >= 1 ? 0 : -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / LN_2;
    }

    /** The condition that outcomes are told for: the likeliest hazard while any is open, else the likeliest of all. */
    private int leader() {
        boolean hazardOpen = belief.anyHazard() >= Diagnosis.HAZARD_RULED_OUT_BELOW;
        int best = -1;
        for (int c = 0; c < network.conditions().size(); c++) {
            boolean fits = !hazardOpen || network.conditions().get(c).hazard();
            if (fits && (best < 0 || belief.of(c) > belief.of(best))) {
                best = c;
            }
        }
        return Math.max(best, 0);
    }
}
