package io.causticon.core.workshop.assessment;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is asked about a line of a batch's log before it is kept: the same questions at the bench, on paper that is
 * typed in, and to programs.
 */
public final class Doubts {

    /** Fats hotter than this make a batter that runs away (a judgement; makers mix between 27 and 60 C). */
    private static final Temperature HOT = Temperature.celsius(70);

    /** What is cooked may be hotter; above this it is frying. */
    private static final Temperature HOT_FOR_A_COOK = Temperature.celsius(95);

    private final BatchPlan plan;
    private final BatchLog log;
    private final WeighingDoubts weighing;

    private Doubts(BatchPlan plan, BatchLog log) {
        this.plan = plan;
        this.log = log;
        this.weighing = new WeighingDoubts(plan, log);
    }

    /**
     * What is odd about a line that is not kept yet.
     *
     * @param log without it
     */
    public static List<Doubt> of(Entry entry, Instant at, BatchPlan plan, BatchLog log) {
        return new Doubts(plan, log).about(entry, at);
    }

    /**
     * A line that was kept without its question being answered: it came from an instrument, a file, or late.
     *
     * @param line id of the line
     * @param doubt what is odd about it
     */
    public record Open(String line, Doubt doubt) {}

    /** All of a log that nobody has answered yet. */
    public static List<Open> open(BatchPlan plan, BatchLog log) {
        List<Open> open = new ArrayList<>();
        Doubts whole = new Doubts(plan, log);
        for (LoggedEntry line : log.entries()) {
            if (mayBeOdd(line.entry()) && line.current().answered().size() < DoubtKind.values().length) {
                Doubts known = hangsOnWhatStoodBefore(line.entry()) ? new Doubts(plan, log.until(line)) : whole;
                known.about(line.entry(), line.at()).stream()
                        .filter(d -> d.kind().staysOpen()
                                && !line.current().answered().contains(d.kind()))
                        .forEach(d -> open.add(new Open(line.id(), d)));
            }
        }
        return open;
    }

    /**
     * Whether it is odd by what had been logged up to then, and not by itself or by dates alone; of these a log has
     * few.
     */
    private static boolean hangsOnWhatStoodBefore(Entry entry) {
        return entry instanceof Entry.Weighed
                || entry instanceof Entry.Added
                || entry instanceof Entry.PotWeighed
                || entry instanceof Entry.LyeIntoFats
                || entry instanceof Entry.Poured;
    }

    /** Cheap, for logs of thousands of readings. */
    private static boolean mayBeOdd(Entry entry) {
        return entry instanceof Entry.Weighed
                || entry instanceof Entry.Added
                || entry instanceof Entry.TemperatureRead
                || entry instanceof Entry.PotWeighed
                || entry instanceof Entry.LyeIntoFats
                || entry instanceof Entry.Poured
                || isTest(entry)
                || entry.on() != null;
    }

    private List<Doubt> about(Entry entry, Instant at) {
        List<Doubt> doubts = new ArrayList<>();
        if (entry instanceof Entry.Weighed weighed) {
            weighing.of(weighed).ifPresent(doubts::add);
        } else if (entry instanceof Entry.Added added) {
            weighing.of(added).ifPresent(doubts::add);
        } else if (entry instanceof Entry.TemperatureRead read) {
            weighing.of(read).ifPresent(doubts::add);
        } else if (entry instanceof Entry.PotWeighed) {
            potBeforeLye().ifPresent(doubts::add);
        } else if (entry instanceof Entry.LyeIntoFats) {
            lyeIn(doubts);
        } else if (entry instanceof Entry.Poured) {
            poured(doubts);
        } else if (isTest(entry)) {
            test(entry, at).ifPresent(doubts::add);
        }
        noSuchBar(entry).ifPresent(doubts::add);
        return doubts;
    }

    private Optional<Doubt> potBeforeLye() {
        boolean lyeIn = log.first(Entry.LyeIntoFats.class).isPresent() || plan.isRework();
        return lyeIn || log.first(Entry.Poured.class).isPresent()
                ? Optional.empty()
                : Optional.of(new Doubt(
                        DoubtKind.POT_BEFORE_LYE,
                        Phrase.of("No lye is in the fats yet. What the full pot weighs tells slips apart once"
                                + " all is in it.")));
    }

    private void lyeIn(List<Doubt> doubts) {
        boolean parts = !BatchFacts.of(plan, log, log.begun()).parts().isEmpty();
        if (!parts && log.first(Entry.LyeIntoFats.class).isPresent()) {
            doubts.add(new Doubt(
                    DoubtKind.TWICE,
                    Phrase.of("Lye into fats is logged already. A second time makes the batch younger: its tests"
                            + " begin anew.")));
            return;
        }
        if (log.first(Entry.Poured.class).isPresent()) {
            doubts.add(new Doubt(
                    DoubtKind.TWICE,
                    Phrase.of(
                            "The batch is poured already. Lye into fats now makes it younger: its tests begin anew.")));
            return;
        }
        leftOut().ifPresent(doubts::add);
        hotFats().ifPresent(doubts::add);
    }

    private void poured(List<Doubt> doubts) {
        if (log.first(Entry.Poured.class).isPresent()) {
            doubts.add(new Doubt(DoubtKind.TWICE, Phrase.of("A pour is logged already; the first one counts.")));
        } else if (log.last(Entry.LyeIntoFats.class).isEmpty()) {
            // Asked with the lye where that was logged.
            leftOut().ifPresent(doubts::add);
        }
    }

    private Optional<Doubt> leftOut() {
        List<Phrase> missing = weighing.fatsLeftOut();
        if (missing.isEmpty()) {
            return Optional.empty();
        }
        Phrase all = missing.stream().reduce((a, b) -> a.then(", ", b)).orElseThrow();
        return Optional.of(new Doubt(
                DoubtKind.FATS_LEFT_OUT,
                Phrase.of("Not on the scale yet, by the log: {}. With all of the lye that is a caustic bar.", all)));
    }

    private Optional<Doubt> hotFats() {
        Optional<Temperature> read = log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == MeasurementPoint.FATS)
                .map(t -> t.entry().temperature())
                .reduce((a, b) -> b);
        if (plan.isRework()) {
            return Optional.empty();
        }
        if (read.isEmpty()) {
            return Optional.of(new Doubt(
                    DoubtKind.HOT_OR_UNREAD_FATS,
                    Phrase.of("Nobody read how warm the fats are. Hot fats can boil over with the lye.")));
        }
        Temperature limit = BatchFacts.isCooked(plan, log) ? HOT_FOR_A_COOK : HOT;
        return read.filter(t -> t.isAbove(limit))
                .map(t -> new Doubt(
                        DoubtKind.HOT_OR_UNREAD_FATS,
                        Phrase.of(
                                "The fats were last read at {}. Above {} the batter runs away or boils over: let them"
                                        + " cool.",
                                t,
                                limit)));
    }

    /** Whether it tells of bars: looks inside and at the surface, and what is measured or felt on skin. */
    private static boolean isTest(Entry entry) {
        return entry instanceof Entry.WashTested
                || entry instanceof Entry.Titrated
                || entry instanceof Entry.PhRead
                || entry instanceof Entry.Observed
                || entry instanceof Entry.Lathered
                || entry instanceof Entry.Judged;
    }

    private static Optional<Finding> finding(Entry entry) {
        return entry instanceof Entry.Observed seen ? Findings.find(seen.finding()) : Optional.empty();
    }

    private static boolean isOnSkin(Entry entry) {
        boolean felt = finding(entry)
                .filter(f -> f.group() == Finding.Group.SKIN && !f.isMeasured() && !f.equals(Findings.PINK_DROP))
                .isPresent();
        return felt
                || entry instanceof Entry.WashTested
                || entry instanceof Entry.Lathered
                || entry instanceof Entry.Judged;
    }

    private Optional<Doubt> test(Entry entry, Instant at) {
        Optional<Finding> finding = finding(entry);
        if (finding.filter(f -> f.group() == Finding.Group.POT || f.from().isZero())
                .isPresent()) {
            return tooLate(entry, finding, at);
        }
        BatchFacts facts = BatchFacts.of(plan, log, at);
        Optional<Instant> since = facts.soapSince().filter(s -> !at.isBefore(s));
        // The paste of a cook is tested before it is spooned, with everything but a wash.
        boolean paste = since.isPresent() && facts.isCooked() && !isOnSkin(entry);
        if (paste && !facts.wasPoured()) {
            return Optional.empty();
        }
        if (since.isEmpty() || !facts.wasPoured()) {
            return Optional.of(new Doubt(
                    DoubtKind.BEFORE_THERE_WAS_SOAP,
                    Phrase.of(
                            since.isEmpty()
                                    ? "No lye is in the fats yet, by the log: this tells nothing of the soap,"
                                            + " and clears nothing."
                                    : "It is not poured yet, by the log: this tells nothing of a bar, and"
                                            + " clears nothing.")));
        }
        if (isOnSkin(entry)
                && facts.outOfTheMould().filter(out -> !at.isBefore(out)).isEmpty()) {
            return Optional.of(new Doubt(
                    DoubtKind.IN_THE_MOULD,
                    Phrase.of("By the log it is still in its mould: what is felt of it there clears nothing.")));
        }
        if (isOnSkin(entry) && !facts.isTestOnSkin(at) && facts.meantSince().isEmpty()) {
            return Optional.of(new Doubt(
                    DoubtKind.TOO_EARLY,
                    Phrase.of(
                            "The lye has been in for {}. Soap of the first two days is caustic, that is normal: a burn"
                                    + " says little yet, and calm skin clears nothing.",
                            hours(Duration.between(since.get(), at)))));
        }
        return tooLate(entry, finding, at);
    }

    private static String hours(Duration age) {
        long hours = Math.max(1, age.toHours());
        return hours == 1 ? "an hour" : hours + " hours";
    }

    private Optional<Doubt> tooLate(Entry entry, Optional<Finding> finding, Instant at) {
        boolean absent = entry instanceof Entry.Observed seen && seen.presence() == Presence.LOOKED_AND_ABSENT;
        Instant made = BatchFacts.of(plan, log, at).soapSince().orElse(log.begun());
        return finding.filter(f -> absent && Duration.between(made, at).compareTo(f.until()) > 0)
                .map(f -> new Doubt(
                        DoubtKind.TOO_LATE,
                        Phrase.of(
                                "That is to be seen until day {} only, and now says nothing. If somebody looked then,"
                                        + " log it for then: \u201cday {} \u2026\u201d.",
                                new Exactly(days(f.until()), 0),
                                new Exactly(days(f.until()), 0))));
    }

    private static long days(Duration until) {
        return Math.max(1, until.toDays());
    }

    private Optional<Doubt> noSuchBar(Entry entry) {
        Bars on = entry.on();
        int cut = log.last(Entry.Cut.class).map(c -> c.entry().bars()).orElse(0);
        int highest =
                on == null ? 0 : on.numbers().stream().mapToInt(n -> n).max().orElse(on.count());
        boolean divided = on != null && on.portion() != null;
        return cut > 0 && highest > cut && !divided
                ? Optional.of(new Doubt(
                        DoubtKind.NO_SUCH_BAR,
                        Phrase.of(
                                "There are {} bars, by the cut. Which is bar {}?",
                                new Exactly(cut, 0),
                                new Exactly(highest, 0))))
                : Optional.empty();
    }
}
