package io.causticon.web.shared;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.Problem;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import io.causticon.core.wording.Phrase;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** Words a problem for the maker, with its values in her units. */
@Component
public class ProblemWords {

    private static final int LONGEST_QUOTED = 80;

    private final MessageSource messages;

    ProblemWords(MessageSource messages) {
        this.messages = messages;
    }

    public String of(Problem problem, Formats formats) {
        Object[] values =
                problem.values().stream().map(v -> written(v, formats)).toArray();
        return messages.getMessage("problem." + problem.key().name(), values, Locale.ENGLISH);
    }

    /** Where nobody is known whose units could be used. */
    String inEnglish(Problem problem) {
        return of(problem, new Formats(Units.METRIC, ZoneOffset.UTC));
    }

    /** The first message for each field, in the order of the problems. */
    public Map<String, String> byField(List<Problem> problems, Formats formats) {
        Map<String, String> words = new LinkedHashMap<>();
        problems.forEach(p -> words.merge(p.field(), of(p, formats), (first, next) -> first + " " + next));
        return words;
    }

    /** What was typed may be endless; a message is not. */
    private static String shortened(String text) {
        return text.length() <= LONGEST_QUOTED ? text : text.substring(0, LONGEST_QUOTED) + "\u2026";
    }

    private String written(Object value, Formats formats) {
        if (value instanceof Mass mass) {
            return formats.exactMass(mass);
        }
        if (value instanceof Temperature temperature) {
            return formats.temperature(temperature);
        }
        if (value instanceof TemperatureChange change) {
            return formats.difference(change.kelvin());
        }
        if (value instanceof Share share) {
            return formats.percent(share, 1);
        }
        if (value instanceof Instant at) {
            return formats.moment(at);
        }
        if (value instanceof Phrase phrase) {
            return formats.phrase(phrase);
        }
        if (value instanceof Double number) {
            return Formats.number(number, number == Math.rint(number) ? 0 : 1);
        }
        String name = shortened(value.toString());
        return messages.getMessage("thing." + name.replace(' ', '_'), null, name, Locale.ENGLISH);
    }
}
