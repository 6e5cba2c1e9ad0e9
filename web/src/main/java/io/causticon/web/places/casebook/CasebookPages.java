package io.causticon.web.places.casebook;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.said.vocabulary.FindingSearch;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.diagnosis.ConditionReport;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.Excess;
import io.causticon.core.science.diagnosis.Hinges;
import io.causticon.core.science.diagnosis.Ledger;
import io.causticon.core.science.diagnosis.NextLook;
import io.causticon.core.science.diagnosis.Rebatch;
import io.causticon.core.science.diagnosis.ReleaseGate;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.core.workshop.assessment.Hold;
import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.places.batch.RoadWords;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.casebook.PastCases;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Words a diagnosis for its page. */
@Service
class CasebookPages {

    private static final double SHOWN_HAZARD = 0.005;
    private static final double SHOWN = 0.06;

    /** Likely enough to prepare for, also when nothing was seen yet. */
    private static final double ACTED_ON = 0.25;

    /** Decibans; less than this nobody could feel. */
    private static final double NOTABLE = 1;

    private static final double BEYOND_DOUBT = 0.99;
    private static final int MOST_CAUSES = 4;
    private static final int MOST_LOOKS = 3;
    private static final double LEAST_CAUSE = 0.01;
    private static final int MOST_GUESSES = 5;

    private final CasebookService casebook;
    private final Assessments assessments;
    private final PastCases past;
    private final Clock clock;

    CasebookPages(CasebookService casebook, Assessments assessments, PastCases past, Clock clock) {
        this.casebook = casebook;
        this.assessments = assessments;
        this.past = past;
        this.clock = clock;
    }

    CasebookPage page(Batch batch, Formats formats) {
        Diagnostician.WithHinges examined = casebook.examineWithHinges(batch);
        Diagnosis diagnosis = examined.diagnosis();
        Assessment assessment = assessments.of(batch);
        ConditionReport leader = leader(diagnosis);
        ReleaseGate gate = assessment.gate().orElseGet(() -> ReleaseGate.of(batch.facts(clock.instant()), diagnosis));
        Instant now = clock.instant();
        List<CasebookPage.Look> looks =
                diagnosis.next().stream().map(CasebookPages::look).toList();
        return new CasebookPage(
                batch.id().toString(),
                batch.name(),
                Formats.duration(batch.log().ageAt(clock.instant())) + " old",
                seen(diagnosis, batch, Evidence.Source.MAKER),
                notes(batch),
                seen(diagnosis, batch, Evidence.Source.LOG),
                looks.stream().limit(MOST_LOOKS).toList(),
                groups(diagnosis),
                diagnosis.reports().stream()
                        .filter(CasebookPages::isShown)
                        .map(r -> ranked(r, diagnosis, formats))
                        .toList(),
                diagnosis.reports().stream()
                        .filter(r -> !isShown(r))
                        .map(r -> new CasebookPage.Short(
                                r.condition().id(),
                                r.condition().name(),
                                Formats.probability(r.probability()),
                                isTold(r)))
                        .toList(),
                assessment.isHeld(),
                verdict(assessment, diagnosis, gate),
                advice(assessment, diagnosis, gate, formats),
                gate.isOpen(),
                assessment.isHeld() && !gate.isOpen()
                        || assessment.state().isHeld()
                        || speaks(CasebookService.worst(diagnosis)) && diagnosis.isOpen(),
                gate.requirements().stream()
                        .map(r -> new CasebookPage.Wanted(r.isMet(), formats.phrase(r.words())))
                        .toList(),
                RoadWords.of(assessment.examined().flatMap(e -> assessments.road(batch, e)), formats, now),
                hinges(examined.hinges()),
                noLook(diagnosis),
                looks.stream().limit(1).toList(),
                looks.stream().skip(1).limit(MOST_LOOKS).toList(),
                causes(leader, formats),
                leader.condition().name(),
                leader.condition().id(),
                batch.plan().isRework(),
                Rebatch.of(batch.facts(clock.instant()), diagnosis)
                        .map(r -> offer(r, batch, formats))
                        .orElse(null),
                isTreated(leader, diagnosis) ? leader.remedy().now() : "",
                isTreated(leader, diagnosis) ? leader.remedy().nextTime() : "",
                also(leader, diagnosis),
                conclusions(batch),
                past.like(batch).stream().map(this::past).toList());
    }

    /**
     * What causes and remedies are told for: the worst hazard while it holds, else what is likelier than not, else the
     * hazard that is still open.
     */
    private static ConditionReport leader(Diagnosis diagnosis) {
        ConditionReport worst = CasebookService.worst(diagnosis);
        if (diagnosis.anyHazard() >= Diagnosis.HOLD_FROM || diagnosis.signStands() && diagnosis.isOpen()) {
            return worst;
        }
        boolean leads = diagnosis.leading().filter(l -> !l.condition().hazard()).isPresent();
        if (diagnosis.isOpen() && !leads) {
            return worst;
        }
        return diagnosis.reports().stream()
                .filter(r -> !r.condition().hazard())
                .max((a, b) -> Double.compare(a.probability(), b.probability()))
                .orElse(worst);
    }

    /** A remedy stands where something was seen that speaks for it: what is merely not tested yet wants none. */
    private static boolean isTreated(ConditionReport leader, Diagnosis diagnosis) {
        boolean there = !leader.condition().hazard() || speaks(leader) || diagnosis.anyHazard() >= Diagnosis.HOLD_FROM;
        return leader.probability() >= SHOWN && there;
    }

    /** Whether something that was seen speaks for it. */
    private static boolean speaks(ConditionReport report) {
        return report.ledger().lines().stream()
                .anyMatch(l -> l.kind() == Ledger.Kind.SEEN && l.weight().decibans() >= NOTABLE);
    }

    /** What is there beside what leads, certainly enough: what to do about that is told all the same. */
    private static List<CasebookPage.Also> also(ConditionReport leader, Diagnosis diagnosis) {
        return diagnosis.reports().stream()
                .filter(r -> r != leader
                        && r.probability() >= Diagnosis.LEADS_FROM
                        && (!r.condition().hazard() || speaks(r)))
                .sorted(Comparator.comparingDouble(ConditionReport::probability).reversed())
                .limit(MOST_CAUSES)
                .map(r -> new CasebookPage.Also(
                        r.condition().name(),
                        Formats.probability(r.probability()),
                        r.remedy().now(),
                        r.remedy().nextTime()))
                .toList();
    }

    private static boolean isShown(ConditionReport report) {
        if (report.condition().hazard()) {
            return report.probability() >= SHOWN_HAZARD;
        }
        return report.probability() >= ACTED_ON || report.probability() >= SHOWN && isTold(report);
    }

    /**
     * A bare rate is not news: of what is unlikely only hazards are told, and what something that was seen speaks for
     * or against.
     */
    private static boolean isTold(ConditionReport report) {
        return report.condition().hazard()
                || report.ledger().lines().stream()
                        .anyMatch(l -> l.kind() != Ledger.Kind.FACT
                                && l.kind() != Ledger.Kind.SILENCE
                                && l.isExplained()
                                && Math.abs(l.weight().decibans()) >= NOTABLE);
    }

    /** What speaks for and against one condition, whether it is shown now or not; empty if there is none of this id. */
    Optional<Drawing> reasons(Batch batch, String condition, Formats formats) {
        return casebook.examine(batch).reports().stream()
                .filter(r -> r.condition().id().equals(condition))
                .findFirst()
                .map(r -> LedgerLayout.draw(r.condition().name(), r.ledger(), formats));
    }

    private static CasebookPage.Ranked ranked(ConditionReport report, Diagnosis diagnosis, Formats formats) {
        double start = report.ledger().start();
        double sum = report.ledger().sum();
        String account = "starts at " + Formats.probability(probability(start)) + " (" + Formats.signed(start, 1)
                + "), moved by " + Formats.signed(sum - start, 1) + ", stands at " + Formats.signed(sum, 1);
        return new CasebookPage.Ranked(
                report.condition().id(),
                report.condition().name(),
                Formats.probability(report.probability()),
                report.condition().hazard(),
                howMuch(report, diagnosis.excess(), formats),
                account,
                LedgerLayout.draw(report.condition().name(), report.ledger(), formats),
                LedgerLayout.shown(report.ledger()).stream()
                        .map(l -> new CasebookPage.Row(
                                formats.phrase(l.words()),
                                Formats.signed(l.weight().decibans(), 1),
                                formats.phrase(l.reason())))
                        .toList());
    }

    /** Too much alkali is told with its amount as soon as it is worth acting on. */
    private static String howMuch(ConditionReport report, Excess excess, Formats formats) {
        if (!report.condition().equals(Conditions.LYE_HEAVY) || report.probability() < Diagnosis.HOLD_FROM) {
            return "";
        }
        return "about " + formats.percent(excess.middle(), 1) + " too much, "
                + formats.percent(Share.fraction(excess.band().low()), 1) + " to "
                + formats.percent(Share.fraction(excess.band().high()), 1);
    }

    private static double probability(double decibans) {
        double odds = Math.pow(10, decibans / 10);
        return odds / (1 + odds);
    }

    private List<CasebookPage.Seen> seen(Diagnosis diagnosis, Batch batch, Evidence.Source source) {
        return diagnosis.evidence().stream()
                .filter(e -> e.source() == source)
                .map(e -> new CasebookPage.Seen(
                        e.isPresent(),
                        e.bars() > 1 ? e.words() + ", on " + e.bars() + " bars" : e.words(),
                        Formats.duration(Duration.between(batch.log().begun(), e.at()))))
                .toList();
    }

    /** What was kept as mere words: nothing follows from it here, and whoever judges reads it. */
    private static List<CasebookPage.Note> notes(Batch batch) {
        return batch.log()
                .of(Entry.Noted.class)
                .map(n -> new CasebookPage.Note(
                        n.entry().text(),
                        Formats.duration(Duration.between(batch.log().begun(), n.at()))))
                .toList();
    }

    /** What a maker's own words may mean, to choose from; nothing where nothing is asked. */
    CasebookPage.Guesses guesses(Batch batch, String words) {
        if (words.isBlank()) {
            return CasebookPage.Guesses.NONE;
        }
        Map<Finding, Presence> known = known(casebook.examine(batch));
        return new CasebookPage.Guesses(
                words.strip(),
                FindingSearch.standard().guesses(words, MOST_GUESSES).stream()
                        .map(g -> choice(g.finding(), known))
                        .toList());
    }

    private static Map<Finding, Presence> known(Diagnosis diagnosis) {
        return diagnosis.evidence().stream()
                .collect(Collectors.toMap(Evidence::finding, Evidence::presence, (a, b) -> b));
    }

    private static CasebookPage.Choice choice(Finding finding, Map<Finding, Presence> known) {
        return new CasebookPage.Choice(finding.id(), finding.words(), finding.absent(), known(known.get(finding)));
    }

    private static List<CasebookPage.Group> groups(Diagnosis diagnosis) {
        Map<Finding, Presence> known = known(diagnosis);
        return Arrays.stream(Finding.Group.values())
                .map(g -> new CasebookPage.Group(
                        g.title(),
                        Findings.ALL.stream()
                                .filter(f -> f.group() == g)
                                .map(f -> choice(f, known))
                                .toList()))
                .toList();
    }

    private static String known(@Nullable Presence presence) {
        if (presence == null) {
            return "";
        }
        return presence == Presence.SEEN ? "seen" : "absent";
    }

    private static CasebookPage.Look look(NextLook next) {
        return new CasebookPage.Look(
                next.finding().id(),
                next.finding().words(),
                next.finding().look(),
                effort(next),
                next.about().name(),
                Formats.probability(next.ifFound()),
                next.finding().absent(),
                Formats.probability(next.ifNot()),
                answer(next.finding()));
    }

    private static CasebookPage.Answer answer(Finding finding) {
        if (finding.isMeasured()) {
            return finding.equals(Findings.FREE_ALKALI) ? CasebookPage.Answer.TITRATION : CasebookPage.Answer.METER;
        }
        if (finding.equals(Findings.WHITE_SPOTS)) {
            return CasebookPage.Answer.THREE_BARS;
        }
        return finding.isOfBars() ? CasebookPage.Answer.BARS : CasebookPage.Answer.PLAIN;
    }

    private CasebookPage.Offer offer(Rebatch rebatch, Batch batch, Formats formats) {
        String fat = rebatch.fat().name();
        boolean more = rebatch.mass().isPositive();
        String words = more
                ? "Grate it, melt it with " + formats.mass(rebatch.mass()) + " of " + fat + " and "
                        + formats.mass(rebatch.water()) + " of water."
                : "Grate it and melt it with " + formats.mass(rebatch.water())
                        + " of water, until nothing hard is left.";
        String becomes = more
                ? "It then has a superfat of "
                        + formats.percent(Share.fraction(rebatch.superfat().low()), 0) + " to "
                        + formats.percent(Share.fraction(rebatch.superfat().high()), 0)
                        + ", nine times out of ten. For part of the batch take as much less of both."
                : "It needs no more fat; for part of the batch take as much less water.";
        return new CasebookPage.Offer(
                words,
                becomes,
                rebatch.fat().id(),
                fat,
                more ? formats.massInput(rebatch.mass()) + " " + formats.massUnit() : "",
                formats.massInput(rebatch.water()) + " " + formats.massUnit(),
                rebatch.tooMuch(),
                batch.facts(clock.instant()).wasPoured() ? "/rework?batch=" + batch.id() : "");
    }

    private static String effort(NextLook next) {
        int minutes = next.finding().minutes();
        String work = minutes < 60 ? "about " + minutes + " min" : "about " + minutes / 60 + " h";
        Duration early = next.delay().minus(next.finding().takes());
        String from = early.isZero() ? "" : ", in " + Formats.duration(early);
        String answer = next.finding().takes().isZero()
                ? ""
                : ", the answer after " + Formats.duration(next.finding().takes());
        return work + from + answer;
    }

    private static List<String> hinges(Hinges hinges) {
        List<String> told = new ArrayList<>();
        if (!hinges.restsOn().isEmpty()) {
            String words = String.join(
                    "; or ", hinges.restsOn().stream().map(Evidence::words).toList());
            told.add("Were this a mistake, it would be told otherwise: " + words + ".");
        }
        hinges.odd()
                .forEach(o -> told.add("These two do not go together, look again at both: "
                        + o.finding().words() + "; " + o.with().words() + "."));
        return told;
    }

    /** What is said where no look is offered, or the only use of one is to know how much fat a rebatch wants. */
    private static String noLook(Diagnosis diagnosis) {
        boolean titrated =
                diagnosis.evidence().stream().anyMatch(e -> e.finding().equals(Findings.FREE_ALKALI));
        if (!diagnosis.lookCouldFree()) {
            return "No single look would free this batch." + (titrated ? "" : " Titrate to size a rebatch.");
        }
        return diagnosis.next().isEmpty() ? "Nothing you could look at now would change what is done with it." : "";
    }

    private static String verdict(Assessment assessment, Diagnosis diagnosis, ReleaseGate gate) {
        if (diagnosis.verdict() == Diagnosis.Verdict.CALM
                && assessment.hold().filter(h -> h.kind() != Hold.Kind.BY_HAND).isEmpty()) {
            String hazards = "Hazards together stand at " + most(diagnosis, diagnosis.anyHazard()) + ".";
            String calm = gate.isOpen() ? "No hazard. " : "Calm so far. ";
            return (assessment.isHeld() ? "Held, and now calm. " : calm) + hazards;
        }
        if (assessment.isHeld() || diagnosis.verdict() == Diagnosis.Verdict.HOLD) {
            return switch (assessment.state()) {
                case UNFIT -> "Not for use or sale.";
                case NOT_JUDGED -> "Held: it cannot be judged.";
                default -> "Held. Do not use or sell.";
            };
        }
        boolean seen = diagnosis.isOpen() && speaks(CasebookService.worst(diagnosis));
        return seen ? "Not ruled out yet. Keep it back." : diagnosis.isTested() ? "Calm so far." : "Not tested yet.";
    }

    /** Where more hangs together than can be weighed, a hazard is told by its bound. */
    private static String most(Diagnosis diagnosis, double probability) {
        return (diagnosis.atMost() && probability < BEYOND_DOUBT ? "most " : "") + Formats.probability(probability);
    }

    private String advice(Assessment assessment, Diagnosis diagnosis, ReleaseGate gate, Formats formats) {
        ConditionReport worst = CasebookService.worst(diagnosis);
        String stands = worst.condition().name() + " stands at " + most(diagnosis, worst.probability()) + ".";
        if (assessment.state() == Assessment.State.UNFIT) {
            return diagnosis
                            .unfit()
                            .map(u -> Character.toUpperCase(u.condition().name().charAt(0))
                                    + u.condition().name().substring(1) + ". ")
                            .orElse("")
                    + "It burns nobody, and nobody should use it. Keep it apart from other bars.";
        }
        return switch (diagnosis.verdict()) {
            case HOLD ->
                (diagnosis.isOpen() ? stands : "A sign of a hazard stands: see below.")
                        + " Curing will not mend it. Gloves for handling; burns or a splash: rinse at once with plenty"
                        + " of water and get help. The supplier's safety sheet and local rules come first.";
            case NOT_RULED_OUT -> diagnosis.isOpen() && speaks(worst) ? stands : notTested(assessment, formats);
            case CALM ->
                gate.isOpen()
                        ? assessment.isHeld()
                                ? "It may be released, by a person, with a reason."
                                : "What is left is cosmetic."
                        : "Before it is released, what is open below is wanted.";
        };
    }

    /** Calmly, with its day. */
    private String notTested(Assessment assessment, Formats formats) {
        Instant now = clock.instant();
        return "Nothing that was seen speaks for a hazard. "
                + assessment.dates().tasks().stream()
                        .filter(t -> t.kind() == Tasks.Kind.WASH_TEST && t.isOpen())
                        .findFirst()
                        .map(t -> t.due().isAfter(now)
                                ? "Its first wash is due " + formats.day(t.due(), now) + "; gloves until then."
                                : "Its first wash is due.")
                        .orElse("");
    }

    private static List<CasebookPage.Explanation> causes(ConditionReport leader, Formats formats) {
        List<CasebookPage.Explanation> causes = new ArrayList<>();
        leader.causes().stream()
                .filter(c -> c.probability().orElse(1) >= LEAST_CAUSE)
                .limit(MOST_CAUSES)
                .forEach(c -> causes.add(new CasebookPage.Explanation(
                        formats.phrase(c.words()),
                        formats.phrase(c.arithmetic()),
                        c.check().map(formats::phrase).orElse(""),
                        c.probability().isPresent()
                                ? Formats.probability(c.probability().getAsDouble())
                                : "")));
        return causes;
    }

    private CasebookPage.Past past(PastCases.Alike alike) {
        PastCases.Concluded other = alike.concluded();
        String words = other.conclusion().words();
        return new CasebookPage.Past(
                alike.batch().toString(),
                other.name(),
                Formats.duration(Duration.between(other.begun(), clock.instant())),
                other.conclusion().condition().name() + (words.isBlank() ? "" : ", \u201c" + words + "\u201d"),
                String.join("; ", alike.shared()));
    }

    private static List<String> conclusions(Batch batch) {
        return batch.log()
                .of(Entry.Concluded.class)
                .map(c -> c.entry().condition().name()
                        + (c.entry().words().isBlank() ? "" : ": " + c.entry().words()))
                .toList();
    }
}
