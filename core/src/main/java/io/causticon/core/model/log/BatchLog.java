package io.causticon.core.model.log;

import io.causticon.core.model.substance.Catalogue;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Everything that happened to a batch, in the order in which it happened. Immutable: {@link #with} gives a new one.
 */
public final class BatchLog {

    private final Instant begun;
    private final List<LoggedEntry> all;
    private final List<LoggedEntry> counting;
    /** The lines that count by the kind of their entry, each kind by time: nearly every question is about one kind. */
    private final Map<Class<?>, List<Timed<?>>> byKind;

    /** The kinds of everything that any line says or ever said. */
    private final Set<Class<?>> said;

    private final Catalogue substances;

    /**
     * A log that names nothing but what its plan and the tables hold.
     *
     * @param begun when the batch was begun
     * @param entries its lines in any order
     */
    public BatchLog(Instant begun, List<LoggedEntry> entries) {
        this(begun, entries, Catalogue.standard());
    }

    /**
     * @param begun when the batch was begun
     * @param entries its lines in any order
     * @param substances where what its lines name is looked up when the plan does not hold it: the tables, and what the
     *     workshop has of its own
     */
    public BatchLog(Instant begun, List<LoggedEntry> entries, Catalogue substances) {
        this.begun = begun;
        this.all =
                entries.stream().sorted(Comparator.comparing(LoggedEntry::at)).toList();
        this.counting = all.stream().filter(e -> !e.current().withdrawn()).toList();
        this.byKind = counting.stream()
                .collect(Collectors.groupingBy(
                        e -> e.entry().getClass(),
                        Collectors.mapping(BatchLog::timed, Collectors.toUnmodifiableList())));
        this.said = all.stream().flatMap(BatchLog::kinds).collect(Collectors.toUnmodifiableSet());
        this.substances = substances;
    }

    /** A log with new lines behind its last: of the rest nothing is looked at again. */
    private BatchLog(BatchLog before, List<LoggedEntry> behind) {
        List<LoggedEntry> count =
                behind.stream().filter(e -> !e.current().withdrawn()).toList();
        Map<Class<?>, List<Timed<?>>> kinds = new HashMap<>(before.byKind);
        count.forEach(e -> kinds.merge(e.entry().getClass(), List.of(timed(e)), BatchLog::joined));
        this.begun = before.begun;
        this.all = joined(before.all, behind);
        this.counting = joined(before.counting, count);
        this.byKind = kinds;
        this.said = Stream.concat(before.said.stream(), behind.stream().flatMap(BatchLog::kinds))
                .collect(Collectors.toUnmodifiableSet());
        this.substances = before.substances;
    }

    private static Timed<?> timed(LoggedEntry line) {
        return new Timed<>(line.id(), line.at(), line.entry());
    }

    private static Stream<Class<?>> kinds(LoggedEntry line) {
        return Stream.concat(line.earlier().stream(), Stream.of(line.current()))
                .map(r -> r.entry().getClass());
    }

    private static <T> List<T> joined(List<? extends T> some, List<? extends T> more) {
        List<T> both = new ArrayList<>(some.size() + more.size());
        both.addAll(some);
        both.addAll(more);
        return Collections.unmodifiableList(both);
    }

    /** Where what its lines name is looked up when the plan does not hold it. */
    public Catalogue substances() {
        return substances;
    }

    /** The same lines, what they name looked up elsewhere. */
    public BatchLog readWith(Catalogue other) {
        return substances == other ? this : new BatchLog(begun, all, other);
    }

    public Instant begun() {
        return begun;
    }

    /** Every line, also those taken back. */
    public List<LoggedEntry> all() {
        return all;
    }

    /** The lines that count, by time. */
    public List<LoggedEntry> entries() {
        return counting;
    }

    public BatchLog with(LoggedEntry entry) {
        return with(List.of(entry));
    }

    /**
     * With lines that were not there before: whoever knows that saves looking for them in a log of thousands.
     *
     * @param entries their ids differ from each other and from all that are there
     */
    public BatchLog withNew(List<LoggedEntry> entries) {
        return areBehind(entries) ? new BatchLog(this, entries) : with(entries);
    }

    /** With these lines, in place of those of the same ids. */
    public BatchLog with(List<LoggedEntry> entries) {
        Set<String> ids = entries.stream().map(LoggedEntry::id).collect(Collectors.toSet());
        if (ids.size() == entries.size() && ids.stream().allMatch(id -> find(id).isEmpty()) && areBehind(entries)) {
            return new BatchLog(this, entries);
        }
        List<LoggedEntry> more = new ArrayList<>(all);
        more.removeIf(e -> ids.contains(e.id()));
        more.addAll(entries);
        return new BatchLog(begun, more, substances);
    }

    /** All that stood before a line, by time; of lines of one moment those that stand before it. */
    public BatchLog until(LoggedEntry line) {
        return new BatchLog(begun, all.subList(0, all.indexOf(line)), substances);
    }

    /** Whether these lines are in the order of time, and none before the last that there is. */
    private boolean areBehind(List<LoggedEntry> entries) {
        Instant last = all.isEmpty() ? Instant.MIN : all.get(all.size() - 1).at();
        for (LoggedEntry entry : entries) {
            if (entry.at().isBefore(last)) {
                return false;
            }
            last = entry.at();
        }
        return true;
    }

    public Duration ageAt(Instant now) {
        return Duration.between(begun, now);
    }

    public Optional<LoggedEntry> find(String id) {
        // A loop: asked for each line that comes in, of logs of thousands.
        for (LoggedEntry line : all) {
            if (line.id().equals(id)) {
                return Optional.of(line);
            }
        }
        return Optional.empty();
    }

    /** Whether a line says this or ever said it, also one that was taken back. */
    public boolean everSaid(Class<? extends Entry> type) {
        return said.contains(type);
    }

    public <E extends Entry> Stream<Timed<E>> of(Class<E> type) {
        return list(type).stream();
    }

    public <E extends Entry> Optional<Timed<E>> first(Class<E> type) {
        List<Timed<E>> all = list(type);
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(0));
    }

    public <E extends Entry> Optional<Timed<E>> last(Class<E> type) {
        List<Timed<E>> all = list(type);
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** Each kind of entry is a record of its own, which nothing is derived from. */
    @SuppressWarnings("unchecked")
    private <E extends Entry> List<Timed<E>> list(Class<E> type) {
        return (List<Timed<E>>) (List<?>) byKind.getOrDefault(type, List.of());
    }

    public <E extends Entry> Optional<Timed<E>> first(Class<E> type, Predicate<E> which) {
        return of(type).filter(t -> which.test(t.entry())).findFirst();
    }

    public <E extends Entry> boolean has(Class<E> type, Predicate<E> which) {
        return first(type, which).isPresent();
    }

    /**
     * An entry of a known type with its moment.
     *
     * @param id the line
     * @param at when it happened
     * @param entry what happened
     * @param <E> its type
     */
    public record Timed<E extends Entry>(String id, Instant at, E entry) {}
}
