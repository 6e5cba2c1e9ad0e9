package io.causticon.core.model.said.notation;

import io.causticon.core.model.mould.CutPlan.Embed;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import java.util.ArrayList;
import java.util.List;

/**
 * Where something lies in a loaf, in mm from its left end: {@code 30 62x12 95} is three of them, the second 12 mm wide.
 */
public final class EmbedNotation {

    /** mm along the loaf, of what is not said to be wider. */
    public static final double USUAL_WIDTH = 10;

    private static final int MOST = 60;

    private EmbedNotation() {}

    /**
     * @param field where the text stands
     * @param along length of the loaf, mm
     * @throws ProblemsException if something in it is no place in the loaf
     */
    public static List<Embed> read(String field, String text, double along) {
        String plain = TypedText.of(field, text, TypedText.LONGEST_LINE)
                .replaceAll("[;,]\\s+|;", " ")
                .replaceAll("\\s*[x\u00d7]\\s*", "x");
        List<Embed> embeds = new ArrayList<>();
        if (plain.isBlank()) {
            return embeds;
        }
        String[] words = plain.trim().split("\\s+");
        if (words.length > MOST) {
            throw ProblemsException.of(field, ProblemKey.TOO_MANY, words.length, MOST);
        }
        for (String word : words) {
            String[] parts = word.split("x", 2);
            double at = LengthNotation.readMillimetres(field, parts[0]);
            double wide = parts.length == 2 ? LengthNotation.readMillimetres(field, parts[1]) : USUAL_WIDTH;
            within(field, "A place in the loaf", at, along);
            within(field, "Something in the loaf", wide, along);
            embeds.add(new Embed(at, wide));
        }
        return embeds;
    }

    private static void within(String field, String what, double millimetres, double along) {
        if (millimetres < 0) {
            throw ProblemsException.of(field, ProblemKey.TOO_LOW, what, millimetres, 0.0);
        }
        if (millimetres > along) {
            throw ProblemsException.of(field, ProblemKey.TOO_HIGH, what, millimetres, along);
        }
    }
}
