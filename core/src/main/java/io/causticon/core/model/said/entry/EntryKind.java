package io.causticon.core.model.said.entry;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * All that the application has to know of one kind of entry.
 *
 * @param <E> its type
 */
public final class EntryKind<E extends Entry> {

    private final Class<E> type;
    private final String name;
    private final int version;
    private final Authority authority;
    private final BiConsumer<? super E, EntryCheck> limits;
    private final Tells tells;
    private final Function<E, Mark> mark;
    private final BiFunction<E, Names, Phrase> words;
    private final @Nullable BiFunction<E, Pen, String> typed;
    private final List<Way> ways;
    private final Function<E, OnStrip> strip;
    private final BiFunction<E, Names, Phrase> stripWords;

    private EntryKind(Builder<E> b, Function<E, OnStrip> strip, BiFunction<E, Names, Phrase> stripWords) {
        this.type = b.type;
        this.name = b.name;
        this.version = b.version;
        this.authority = b.authority;
        this.limits = b.limits;
        this.tells = b.tells;
        this.mark = b.mark;
        this.words = b.words;
        this.typed = b.typed;
        this.ways = List.copyOf(b.ways);
        this.strip = strip;
        this.stripWords = stripWords;
    }

    /**
     * Begins a descriptor.
     *
     * @param name under which it is kept in stores: it may never change
     * @param authority from whom it is taken
     * @param limits what its quantities may be, beyond that all that is not optional must be there
     */
    static <E extends Entry> Builder<E> of(
            Class<E> type, String name, Authority authority, BiConsumer<? super E, EntryCheck> limits) {
        return new Builder<>(type, name, authority, limits);
    }

    public Class<E> type() {
        return type;
    }

    /** The name under which it is kept. */
    public String name() {
        return name;
    }

    /** The newest form in which it is kept; 1 for the first. */
    public int version() {
        return version;
    }

    /** From whom it is taken. */
    public Authority authority() {
        return authority;
    }

    void check(Entry entry, EntryCheck check) {
        limits.accept(type.cast(entry), check);
    }

    public Tells tells() {
        return tells;
    }

    /** Whether a maker can type it: the others are deeds with forms of their own, or cannot be understood. */
    public boolean isTyped() {
        return typed != null;
    }

    List<Way> ways() {
        return ways;
    }

    Mark mark(Entry entry) {
        return mark.apply(type.cast(entry));
    }

    Phrase words(Entry entry, Names names) {
        return words.apply(type.cast(entry), names);
    }

    String typed(Entry entry, Pen pen) {
        return typed == null ? "" : typed.apply(type.cast(entry), pen);
    }

    OnStrip strip(Entry entry) {
        return strip.apply(type.cast(entry));
    }

    Phrase stripWords(Entry entry, Names names) {
        return stripWords.apply(type.cast(entry), names);
    }

    /** Makes an entry of what was matched and the bars that were named. */
    @FunctionalInterface
    interface OnBars<E> {
        E of(Matcher matcher, @Nullable Bars on);
    }

    /** The same where a number is in the maker's units. */
    @FunctionalInterface
    interface OnBarsIn<E> {
        E of(Matcher matcher, @Nullable Bars on, QuickContext context);
    }

    /** Takes the sentences of one descriptor. */
    static final class Builder<E extends Entry> {

        private final Class<E> type;
        private final String name;
        private final Authority authority;
        private final BiConsumer<? super E, EntryCheck> limits;
        private final List<Way> ways = new ArrayList<>();
        private int version = 1;
        private Tells tells = Tells.NOTHING;
        private Function<E, Mark> mark = e -> Mark.PLAIN;
        private BiFunction<E, Names, Phrase> words = (e, n) -> Phrase.of(this.name());
        private @Nullable BiFunction<E, Pen, String> typed;

        private Builder(Class<E> type, String name, Authority authority, BiConsumer<? super E, EntryCheck> limits) {
            this.type = type;
            this.name = name;
            this.authority = authority;
            this.limits = limits;
        }

        private String name() {
            return name;
        }

        /** Kept in this form from now on; earlier ones are still read. */
        Builder<E> version(int newest) {
            this.version = newest;
            return this;
        }

        Builder<E> tells(Tells what) {
            this.tells = what;
            return this;
        }

        Builder<E> marked(Mark always) {
            return marked(e -> always);
        }

        Builder<E> marked(Function<E, Mark> by) {
            this.mark = by;
            return this;
        }

        Builder<E> words(String always) {
            return words((e, n) -> Phrase.of(always));
        }

        Builder<E> words(BiFunction<E, Names, Phrase> say) {
            this.words = say;
            return this;
        }

        /** How it is written in shorthand. */
        Builder<E> typed(BiFunction<E, Pen, String> write) {
            this.typed = write;
            return this;
        }

        /** A phrase that means it: a regular expression, and what it says. */
        Builder<E> phrase(String pattern, BiFunction<Matcher, QuickContext, E> entry) {
            Pattern compiled =
                    Pattern.compile("^(?:" + pattern + ")(?:$|[\\s,.])", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
            return way((text, context) -> {
                Matcher matcher = compiled.matcher(text);
                return matcher.find()
                        ? Optional.of(new Way.Match(entry.apply(matcher, context), text.substring(matcher.end())))
                        : Optional.empty();
            });
        }

        /** The same, of what is looked at on single bars: they may be named after it. */
        Builder<E> phraseOnBars(String pattern, OnBars<E> entry) {
            return phraseOnBarsIn(pattern, (matcher, bars, context) -> entry.of(matcher, bars));
        }

        /** The same with numbers in the maker's units. */
        Builder<E> phraseOnBarsIn(String pattern, OnBarsIn<E> entry) {
            Pattern compiled = Pattern.compile("^(?:" + pattern + ")(?:$|[\\s,.])", Pattern.CASE_INSENSITIVE);
            return way((text, context) -> {
                Matcher matcher = compiled.matcher(text);
                if (!matcher.find()) {
                    return Optional.empty();
                }
                BarsSaid.Said said = BarsSaid.read(text.substring(matcher.end()), context);
                return Optional.of(new Way.Match(entry.of(matcher, said.bars(), context), said.rest()));
            });
        }

        Builder<E> way(Way way) {
            ways.add(way);
            return this;
        }

        EntryKind<E> notOnStrip() {
            return on(OnStrip.NOWHERE);
        }

        EntryKind<E> on(OnStrip place) {
            return new EntryKind<>(this, e -> place, words);
        }

        EntryKind<E> on(Function<E, OnStrip> place) {
            return new EntryKind<>(this, place, words);
        }

        /** Among what was done, in fewer words than in the log. */
        EntryKind<E> event(BiFunction<E, Names, Phrase> shortWords) {
            return new EntryKind<>(this, e -> OnStrip.EVENT, shortWords);
        }

        EntryKind<E> event(String shortWords) {
            return event((e, n) -> Phrase.of(shortWords));
        }
    }
}
