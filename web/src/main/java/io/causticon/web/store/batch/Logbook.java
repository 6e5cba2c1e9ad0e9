package io.causticon.web.store.batch;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.core.model.said.entry.QuickContext;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.model.said.entry.Suggestion;
import io.causticon.core.model.said.notation.TimeNotation;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Takes what is typed into the quick line, wherever it stands. */
@Service
public class Logbook {

    /** A line waits in a browser that was laid away at most for a month; what claims more is a clock that is wrong. */
    private static final Duration LONGEST_WAIT = Duration.ofDays(31);

    /** Words that mean nothing else, and may be kept as such. */
    private static final Set<ProblemKey> UNKNOWN =
            Set.of(ProblemKey.NOT_UNDERSTOOD, ProblemKey.NOT_UNDERSTOOD_MAYBE, ProblemKey.UNKNOWN_FINDING);

    /** Words that may tell of a finding. */
    private static final Set<ProblemKey> ASKED_ABOUT = Set.of(
            ProblemKey.NOT_UNDERSTOOD,
            ProblemKey.NOT_UNDERSTOOD_MAYBE,
            ProblemKey.UNKNOWN_FINDING,
            ProblemKey.SPEAKS_OF_BURNING);

    private final BatchService batches;
    private final Belongings workshop;
    private final ProblemWords words;
    private final Clock clock;

    Logbook(BatchService batches, Belongings workshop, ProblemWords words, Clock clock) {
        this.batches = batches;
        this.workshop = workshop;
        this.words = words;
        this.clock = clock;
    }

    /**
     * How a line was understood.
     *
     * @param entries what would be logged
     * @param at the moment it would be logged at, if it is not now
     * @param problem why it cannot be; empty if it can
     * @param maybe what it may have meant, as lines that are understood
     */
    public record Understood(List<EntryWords> entries, String at, String problem, List<Suggestion> maybe) {

        public boolean isFine() {
            return problem.isEmpty();
        }
    }

    /** Reads without logging. */
    public Understood read(BatchId id, String text, String byHand, Maker maker) {
        Reading reading = understand(id, text, byHand, maker);
        if (!reading.problems().isEmpty()) {
            return new Understood(List.of(), "", problem(reading.problems(), maker), maybe(reading.problems(), text));
        }
        return new Understood(
                reading.entries().stream()
                        .map(e -> EntryWords.of(e, batches.get(id).names(), maker.formats()))
                        .toList(),
                reading.at().map(maker.formats()::moment).orElse(""),
                "",
                List.of());
    }

    /**
     * What is offered when a line was not understood: findings that it may tell of, and at last mere words; nothing
     * where that is not the matter.
     */
    public static List<Suggestion> maybe(List<Problem> problems, String text) {
        if (problems.isEmpty() || !problems.stream().allMatch(p -> ASKED_ABOUT.contains(p.key()))) {
            return List.of();
        }
        Stream<Suggestion> words = problems.stream().allMatch(p -> UNKNOWN.contains(p.key()))
                ? QuickLine.asWords(text).stream().map(line -> new Suggestion("Keep it as words", line))
                : Stream.empty();
        return Stream.concat(QuickLine.suggestions(text).stream(), words).toList();
    }

    /**
     * Reads and logs.
     *
     * @param byHand a moment given by hand, empty for now
     * @param late how long the line waited for the server in the browser
     * @param clientKey the form's own key
     * @throws ProblemsException with everything that cannot be taken
     */
    public void log(BatchId id, String text, String byHand, Duration late, Maker maker, String clientKey) {
        log(id, text, byHand, late, maker, clientKey, Optional::empty);
    }

    /**
     * Reads and logs; when it tells of the batter's stage, with the temperature that is read at the same moment.
     *
     * @param batter what a thermometer in the batter shows now
     */
    public void log(
            BatchId id,
            String text,
            String byHand,
            Duration late,
            Maker maker,
            String clientKey,
            Supplier<Optional<Temperature>> batter) {
        log(id, understand(batches.get(id), text, byHand, late, maker), late, maker, clientKey, batter);
    }

    /**
     * Logs what was read; when it tells of the batter's stage, with the temperature that is read at the same moment.
     *
     * @return the batch as it stands with it
     */
    public Batch log(
            BatchId id,
            Reading reading,
            Duration late,
            Maker maker,
            String clientKey,
            Supplier<Optional<Temperature>> batter) {
        if (!reading.problems().isEmpty()) {
            throw new ProblemsException(reading.problems());
        }
        List<Entry> lines = withWhatTheyTold(reading.entries());
        if (reading.at().isEmpty() && lines.stream().anyMatch(Entry.StageReached.class::isInstance)) {
            batter.get().ifPresent(t -> lines.add(new Entry.TemperatureRead(MeasurementPoint.BATTER, t)));
        }
        return batches.log(
                        id,
                        lines,
                        reading.at().orElseGet(() -> ago(id, late)),
                        maker.displayName(),
                        clientKey,
                        answers(late))
                .batch();
    }

    /** Logs one entry that was chosen, at once. */
    public void log(BatchId id, Entry entry, String byHand, Maker maker, String clientKey) {
        log(id, entry, byHand, Duration.ZERO, maker, clientKey);
    }

    /** Logs one entry that was chosen, not typed. */
    public void log(BatchId id, Entry entry, String byHand, Duration late, Maker maker, String clientKey) {
        log(id, List.of(entry), byHand, late, maker, clientKey);
    }

    /** Logs entries of one moment that were chosen, not typed. */
    public void log(BatchId id, List<Entry> entries, String byHand, Duration late, Maker maker, String clientKey) {
        Batch batch = batches.get(id);
        Instant at = byHand.isBlank()
                ? ago(id, late)
                : moment(batch, byHand, clock.instant().minus(bounded(late)), maker);
        batches.log(id, withWhatTheyTold(entries), at, maker.displayName(), clientKey, answers(late));
    }

    /** Behind what the answer to a question told beside. */
    private static List<Entry> withWhatTheyTold(List<Entry> entries) {
        List<Entry> lines = new ArrayList<>();
        if (Answers.ofTheForm().isOut()) {
            lines.add(new Entry.Unmoulded());
        }
        lines.addAll(entries);
        return lines;
    }

    /**
     * What waited in a browser has happened already, and nobody may be there any more: it is kept, and asked about on
     * the batch's page.
     */
    private static Answers answers(Duration late) {
        return bounded(late).isZero() ? Answers.ofTheForm() : Answers.LATER;
    }

    /** The moment a line was made that arrives this late; never before the batch. */
    private Instant ago(BatchId id, Duration late) {
        Instant now = clock.instant();
        if (bounded(late).isZero()) {
            return now;
        }
        Instant begun = batches.get(id).log().begun();
        Instant made = now.minus(bounded(late));
        return made.isBefore(begun) ? begun : made;
    }

    private static Duration bounded(Duration late) {
        return late.isNegative() ? Duration.ZERO : late.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : late;
    }

    /** What to say beside each field of a form. */
    public Map<String, String> byField(List<Problem> problems, Maker maker) {
        return problems.stream()
                .collect(Collectors.toMap(
                        Problem::field, p -> problem(List.of(p), maker), (one, other) -> one + " " + other));
    }

    public String problem(List<Problem> problems, Maker maker) {
        return String.join(
                " ", problems.stream().map(p -> words.of(p, maker.formats())).toList());
    }

    /** Reads a line for an amendment: exactly one entry. */
    public Reading understand(BatchId id, String text, String byHand, Maker maker) {
        return understand(batches.get(id), text, byHand, Duration.ZERO, maker);
    }

    /** Reads a line of a batch without logging it, as it was meant when it was typed. */
    public Reading understand(Batch batch, String text, String byHand, Duration late, Maker maker) {
        // "5 min ago" counts from when it was typed, not from when it arrived.
        Instant typed = clock.instant().minus(bounded(late));
        QuickContext context = context(batch, typed, maker);
        QuickLine.Reading read = QuickLine.read(text, context);
        List<Problem> problems = new ArrayList<>(read.problems());
        Optional<Instant> at = read.at();
        if (at.isEmpty() && !byHand.isBlank()) {
            try {
                at = Optional.of(moment(batch, byHand, typed, maker));
            } catch (ProblemsException e) {
                problems.addAll(e.problems());
            }
        }
        return new Reading(read.entries(), at, problems);
    }

    /**
     * The bars that a field of a batch's page names.
     *
     * @return null when nothing is typed
     * @throws ProblemsException if it names none
     */
    public @Nullable Bars bars(BatchId id, String field, String typed, Maker maker) {
        return QuickLine.bars(field, typed, context(batches.get(id), clock.instant(), maker));
    }

    private QuickContext context(Batch batch, Instant typed, Maker maker) {
        return new QuickContext(
                batch.plan(),
                batch.log().begun(),
                typed,
                maker.zone(),
                maker.units(),
                Findings.vocabulary(),
                workshop.knownVessels(),
                batch.log().substances(),
                batch.log()
                        .of(Entry.PortionTaken.class)
                        .map(p -> p.entry().portion())
                        .toList());
    }

    /** An entry as its maker would type it. */
    public String shorthand(Batch batch, Entry entry, Maker maker) {
        return EntryKinds.shorthand(entry, context(batch, clock.instant(), maker));
    }

    /**
     * What a line says.
     *
     * @param entries what would be logged
     * @param at the moment that it names itself
     * @param problems what keeps it from being taken
     */
    public record Reading(List<Entry> entries, Optional<Instant> at, List<Problem> problems) {

        /** Nothing if it cannot be taken. */
        public List<Entry> taken() {
            return problems.isEmpty() ? entries : List.of();
        }
    }

    /** A moment that was written by hand; empty when there is none. */
    public Optional<Instant> moment(Batch batch, String byHand, Maker maker) {
        return byHand.isBlank() ? Optional.empty() : Optional.of(moment(batch, byHand, clock.instant(), maker));
    }

    private static Instant moment(Batch batch, String byHand, Instant typed, Maker maker) {
        return TimeNotation.read("at", byHand, batch.log().begun(), typed, maker.zone());
    }
}
