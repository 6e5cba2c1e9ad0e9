package io.causticon.web.store.batch;

import io.causticon.core.model.log.DoubtKind;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * What whoever brings a line was asked about it, and said that it is so.
 *
 * @param said kinds of doubts that were answered
 * @param isOut whether it turned out that the soap had left its mould, which nobody had logged
 * @param canBeAsked whether somebody is there to be asked; what comes from an instrument, a file, or late is kept, and
 *     its doubts stay open
 */
public record Answers(Set<DoubtKind> said, boolean isOut, boolean canBeAsked) {

    /** Nothing was asked yet. */
    public static final Answers NONE = new Answers(Set.of(), false, true);

    /** Nobody is there. */
    public static final Answers LATER = new Answers(Set.of(), false, false);

    /** Of a line from before answers were kept: it was asked about by the rules of its day. */
    private static final String EARLIER = "EARLIER";

    /** The field of every form, in which the question that was answered comes back. */
    public static final String FIELD = "answered";

    /** Says that it is out of its mould: that is logged before the line itself. */
    public static final String OUT = "OUT_OF_THE_MOULD";

    public Answers {
        said = Set.copyOf(said);
    }

    /** By their names, whatever else stands there. */
    public static Answers named(Collection<String> names) {
        Set<DoubtKind> said = EnumSet.noneOf(DoubtKind.class);
        for (DoubtKind kind : DoubtKind.values()) {
            if (names.contains(kind.name())) {
                said.add(kind);
            }
        }
        return new Answers(said, names.contains(OUT), true);
    }

    /** What the form that is just being taken says; nothing where no form is. */
    public static Answers ofTheForm() {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes form) {
            String[] values = form.getRequest().getParameterValues(FIELD);
            return values == null
                    ? NONE
                    : named(Arrays.stream(values)
                            .flatMap(v -> Arrays.stream(v.split("[,\\s]+")))
                            .toList());
        }
        return NONE;
    }

    /** As a row keeps them. */
    public static String written(Collection<DoubtKind> kinds) {
        return kinds.stream().sorted().map(DoubtKind::name).collect(Collectors.joining(" "));
    }

    /** What a row keeps. */
    static Set<DoubtKind> read(String written) {
        return written.isEmpty()
                ? Set.of()
                : written.equals(EARLIER)
                        ? Set.of(DoubtKind.values())
                        : named(List.of(written.split(" "))).said();
    }
}
