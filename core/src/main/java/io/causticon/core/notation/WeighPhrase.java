package io.causticon.core.notation;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Tare;
import io.causticon.core.observation.Weighable;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.substance.Catalogue;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** {@code olive 504}, {@code weigh lye 168.3 g}, {@code lard 1 lb 2 oz in second jug no tare}. */
final class WeighPhrase {

    /** More than this of one thing does not fit the scales and pots of a workshop. */
    static final Mass MOST = Mass.grams(50_000);

    private static final String FIELD = "quick";
    private static final String AMOUNT = "\\d+(?:[.,]\\d+)*\\s*(?:g|kg|oz|lbs?)?(?:\\s+\\d+(?:[.,]\\d+)?\\s*oz)?";
    private static final Pattern FORM = Pattern.compile(
            "^(?P<again>again\\s+)?(?P<weigh>weigh(?:ed)?\\s+)?(?P<what>[\\p{L}][\\p{L}' ()-]*?)\\s+(?P<amount>" + AMOUNT + ")"
                    + "(?:\\s+(?:in|from)\\s+(?P<vessel>[\\p{L}' -]+?))?"
                    + "(?:\\s*,?\\s*(?P<tare>no tare|not tared|untared|tared))?$",
            Pattern.CASE_INSENSITIVE);

    private WeighPhrase() {}

    static Optional<Phrase.Match> match(String text, QuickContext context) {
        Matcher form = FORM.matcher(text);
        if (!form.matches()) {
            return Optional.empty();
        }
        boolean again = form.group("again") != null;
        boolean said = form.group("weigh") != null || again;
        boolean hasUnit = form.group("amount").matches(".*[a-zA-Z].*");
        Optional<Weighable> what = what(form.group("what").trim(), context, said || hasUnit);
        if (what.isEmpty()) {
            if (said) {
                throw ProblemsException.of(FIELD, ProblemKey.UNKNOWN_SUBSTANCE, form.group("what").trim());
            }
            return Optional.empty();
        }
        Mass mass = MassNotation.read(FIELD, form.group("amount"), context.units());
        check(form.group("what").trim(), mass);
        if (again) {
            return Optional.of(new Phrase.Match(new Entry.WeighedAgain(what.get(), mass), ""));
        }
        Entry entry = new Entry.Weighed(what.get(), mass, tare(form.group("tare")), form.group("vessel"));
        return Optional.of(new Phrase.Match(entry, ""));
    }

    private static void check(String what, Mass mass) {
        if (!mass.isPositive()) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_LOW, what, mass, Mass.ZERO);
        }
        if (mass.isMoreThan(MOST)) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_HIGH, what, mass, MOST);
        }
    }

    private static Tare tare(@Nullable String words) {
        if (words == null) {
            return Tare.NOT_SAID;
        }
        return "tared".equals(words.toLowerCase(Locale.ROOT)) ? Tare.TAKEN : Tare.NOT_TAKEN;
    }

    /** Lye is a temperature unless a mass is plainly meant. */
    private static Optional<Weighable> what(String called, QuickContext context, boolean plainlyMass) {
        String lower = called.toLowerCase(Locale.ROOT);
        if (lower.equals("naoh") || lower.equals("lye") && plainlyMass) {
            return Optional.of(Weighable.NAOH);
        }
        if (lower.equals("koh")) {
            return Optional.of(Weighable.KOH);
        }
        return planned(called, context).or(() -> known(called));
    }

    private static Optional<Weighable> planned(String called, QuickContext context) {
        return Stream.of(
                        context.plan().formula().fats().stream()
                                .filter(f -> Catalogue.answersTo(f.fat().id(), f.fat().name(), called))
                                .map(f -> Weighable.fat(f.fat().id())),
                        context.plan().formula().liquidParts().stream()
                                .filter(l -> Catalogue.answersTo(l.liquid().id(), l.liquid().name(), called)
                                        || called.equalsIgnoreCase("water")
                                                && l.liquid().id().endsWith("-water"))
                                .map(l -> Weighable.liquid(l.liquid().id())),
                        context.plan().formula().additives().stream()
                                .filter(a -> Catalogue.answersTo(a.additive().id(), a.additive().name(), called))
                                .map(a -> Weighable.additive(a.additive().id())))
                .flatMap(s -> s)
                .findFirst();
    }

    private static Optional<Weighable> known(String called) {
        Catalogue catalogue = Catalogue.standard();
        return Stream.of(
                        catalogue.fats().stream()
                                .filter(f -> Catalogue.answersTo(f.id(), f.name(), called))
                                .map(f -> Weighable.fat(f.id())),
                        catalogue.liquids().stream()
                                .filter(l -> Catalogue.answersTo(l.id(), l.name(), called))
                                .map(l -> Weighable.liquid(l.id())),
                        catalogue.additives().stream()
                                .filter(a -> Catalogue.answersTo(a.id(), a.name(), called))
                                .map(a -> Weighable.additive(a.id())))
                .flatMap(s -> s)
                .findFirst();
    }
}
