package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** All kinds of entries, in the order in which their phrases are tried, and what they say. */
public final class EntryKinds {

    public static final List<EntryKind<?>> ALL = Stream.of(
                    WeighingKinds.ALL,
                    PotKinds.ALL,
                    BatterKinds.ALL,
                    CookKinds.ALL,
                    StockKinds.ALL,
                    MouldKinds.ALL,
                    TestKinds.ALL,
                    WordKinds.ALL)
            .flatMap(List::stream)
            .<EntryKind<?>>map(k -> k)
            .toList();

    private static final Map<Class<?>, EntryKind<?>> BY_TYPE =
            ALL.stream().collect(Collectors.toUnmodifiableMap(EntryKind::type, Function.identity()));

    private EntryKinds() {}

    public static EntryKind<?> of(Entry entry) {
        EntryKind<?> kind = BY_TYPE.get(entry.getClass());
        if (kind == null) {
            throw new IllegalStateException(
                    "Impossible state: no descriptor for " + entry.getClass().getSimpleName());
        }
        return kind;
    }

    /** What it says. */
    public static Phrase words(Entry entry, Names names) {
        return of(entry).words(entry, names);
    }

    public static Mark mark(Entry entry) {
        return of(entry).mark(entry);
    }

    public static Mark mark(Weighable what) {
        return WeighingKinds.mark(what);
    }

    public static Mark mark(MeasurementPoint spot) {
        return PotKinds.mark(spot);
    }

    /** What makers call a stage. */
    public static String words(Stage stage) {
        return BatterKinds.said(stage);
    }

    /** What is said of a cook. */
    public static String words(Cooking what) {
        return CookKinds.said(what);
    }

    public static OnStrip strip(Entry entry) {
        return of(entry).strip(entry);
    }

    /** What it says on the strip, where there is little room. */
    public static Phrase stripWords(Entry entry, Names names) {
        return of(entry).stripWords(entry, names);
    }

    /**
     * The entry as its maker would type it, so that it can be amended where she typed it: reading it gives back the
     * very same entry.
     *
     * @return empty for what is not typed
     */
    public static String shorthand(Entry entry, QuickContext context) {
        String plain = of(entry).typed(entry, new Pen(context.units(), context.names(), false));
        QuickLine.Reading read = plain.isEmpty() ? QuickLine.Reading.NOTHING : QuickLine.read(plain, context);
        return plain.isEmpty() || read.entries().equals(List.of(entry))
                ? plain
                : of(entry).typed(entry, new Pen(context.units(), context.names(), true));
    }

    /** Every kind under its kept name. */
    public static Map<String, EntryKind<?>> byName() {
        return ALL.stream().collect(Collectors.toUnmodifiableMap(EntryKind::name, Function.identity()));
    }

    static Stream<Way> ways() {
        return ALL.stream().flatMap(k -> k.ways().stream());
    }
}
