package io.causticon.web.places.casebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.science.diagnosis.Ledger;
import io.causticon.core.science.diagnosis.network.Weight;
import io.causticon.core.wording.Phrase;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;

class LedgerLayoutTest {

    private static Ledger.Line line(String words, double decibans, Ledger.Kind kind) {
        return new Ledger.Line(Phrase.of(words), new Weight(decibans), kind, Phrase.of("because"));
    }

    private static Drawing draw(Ledger.Line... lines) {
        return LedgerLayout.draw(
                "lye-heavy", new Ledger(-19, List.of(lines)), new Formats(Units.METRIC, ZoneOffset.UTC));
    }

    private static double width(Drawing drawing, String style) {
        return drawing.shapes().stream()
                .filter(s -> s.style().equals(style))
                .mapToDouble(s -> Double.parseDouble(s.w()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aBarIsAsLongAsItWeighs() {
        Drawing drawing =
                draw(line("burning wash", 16, Ledger.Kind.SEEN), line("clean inside", -8, Ledger.Kind.ABSENT));
        // The outline of the bar against is drawn inside its length.
        assertThat(width(drawing, "against") + 1.5).isCloseTo(width(drawing, "for") / 2, within(0.2));
    }

    @Test
    void weightOfEvidenceHasOneScaleUntilItIsVeryHeavy() {
        double light = width(draw(line("a", 7, Ledger.Kind.SEEN)), "for");
        double twice = width(draw(line("a", 14, Ledger.Kind.SEEN)), "for");
        assertThat(twice).isCloseTo(2 * light, within(0.2));
        assertThat(width(draw(line("a", 60, Ledger.Kind.SEEN)), "for")).isCloseTo(twice, within(0.2));
    }

    @Test
    void howMuchItWeighsIsSaidInWords() {
        assertThat(List.of(LedgerLayout.strength(2), LedgerLayout.strength(-5), LedgerLayout.strength(16)))
                .containsExactly("a little", "clearly", "strongly");
        assertThat(draw(line("burning wash", 16, Ledger.Kind.SEEN)).shapes())
                .anyMatch(s -> s.data().equals("strongly"));
    }

    @Test
    void whatDoesNotClearIsShownWithoutABar() {
        Drawing drawing = draw(line("strip reads 9", 0, Ledger.Kind.DOES_NOT_CLEAR));
        assertThat(drawing.shapes()).anyMatch(s -> s.data().equals("strip reads 9: does not clear it"));
        assertThat(drawing.shapes()).noneMatch(s -> s.kind().equals("rect"));
    }

    @Test
    void whatWeighsNothingIsLeftOut() {
        assertThat(LedgerLayout.shown(new Ledger(0, List.of(line("a", 0.1, Ledger.Kind.SEEN)))))
                .isEmpty();
    }

    @Test
    void theHeaviestComesFirst() {
        Ledger ledger = new Ledger(
                0,
                List.of(
                        line("small", 2, Ledger.Kind.SEEN),
                        line("against", -9, Ledger.Kind.ABSENT),
                        line("large", 12, Ledger.Kind.SEEN)));
        assertThat(LedgerLayout.shown(ledger))
                .extracting(l -> l.words().pattern())
                .containsExactly("large", "small", "against");
    }

    @Test
    void longWordsAreCutAndNotRunOut() {
        Drawing drawing = draw(line("w".repeat(200), 5, Ledger.Kind.SEEN));
        assertThat(drawing.shapes())
                .filteredOn(s -> s.data().startsWith("www"))
                .singleElement()
                .satisfies(s -> assertThat(s.data()).endsWith("\u2026").hasSizeLessThan(60));
    }
}
