package io.causticon.web.exchange.label;

import io.causticon.core.quantity.Mass;
import io.causticon.core.science.cure.BarContents;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.web.exchange.label.LabelArt.Box;
import io.causticon.web.exchange.label.LabelArt.Code;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.QrCode;
import io.causticon.web.shared.print.Typeface;
import io.causticon.web.store.batch.Batch;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What stands on a label. Sizes follow the label's, so that what is small is still read. */
@Service
class Labels {

    private static final double MARGIN = 3;
    private static final double THIN = 0.2;
    private static final int WEIGHINGS = 4;

    /** mm; smaller ones are not read by a telephone at arm's length. */
    private static final double LEAST_CODE = 18;

    private static final double SMALLEST = 1.7;
    private static final double LARGEST_SMALL_PRINT = 2.6;

    private final Clock clock;

    Labels(Clock clock) {
        this.clock = clock;
    }

    /** For the rack: what it is, when it is ready, boxes for its weighings, and a code that leads to the batch. */
    LabelArt rack(Batch batch, Assessment assessment, LabelSheet sheet, String address, Formats formats) {
        double side = Math.min(sheet.height() - 2 * MARGIN, Math.max(LEAST_CODE, sheet.width() * 0.3));
        LabelArt.Writer art = new LabelArt.Writer(sheet.width(), sheet.height(), MARGIN);
        art.add(new Code(sheet.width() - MARGIN - side, MARGIN, side, QrCode.sturdy(address)));
        double big = Math.min(6, sheet.height() / 7.5);
        art.narrow(sheet.width() - 2 * MARGIN - side);
        art.line(batch.name(), big, Typeface.TEXT);
        art.line(batch.code(), big * 0.8, Typeface.FIGURES);
        Instant made = assessment.dates().poured();
        art.line("made " + formats.date(made), big * 0.6, Typeface.TEXT);
        if (assessment.isHeld()) {
            art.line(
                    assessment.state() == Assessment.State.UNFIT ? "NOT FOR USE OR SALE." : "HELD. Do not use or sell.",
                    big * 0.7,
                    Typeface.TEXT);
        } else {
            art.line("ready about " + formats.date(assessment.dates().ready()), big * 0.6, Typeface.TEXT);
        }
        boxes(art, sheet, side, formats);
        return art.done();
    }

    /** Boxes to write weighings into, where there is room. */
    private static void boxes(LabelArt.Writer art, LabelSheet sheet, double side, Formats formats) {
        double top = art.y() + 1;
        double tall = sheet.height() - MARGIN - top;
        boolean below = top > MARGIN + side;
        double wide = (sheet.width() - 2 * MARGIN - (below ? 0 : side + MARGIN)) / WEIGHINGS;
        if (tall < 5) {
            return;
        }
        for (int i = 0; i < WEIGHINGS; i++) {
            double x = MARGIN + i * wide;
            art.add(new Box(x, top, wide - 1, tall, THIN));
            art.add(new LabelArt.Words(
                    x + 0.8,
                    top + 2.4,
                    2,
                    Typeface.TEXT,
                    i == 0 ? "cut" : i == WEIGHINGS - 1 ? "ready" : "week " + 2 * i));
            art.add(new LabelArt.Words(x + wide - 3.4, top + tall - 1, 2, Typeface.TEXT, formats.massUnit()));
        }
    }

    /** For a bar: what it is called, what is in it, what it weighs, its batch. */
    LabelArt bar(Batch batch, String part, LabelSheet sheet, String workshop, Instant on, Formats formats) {
        BarContents contents = BarContents.of(batch.plan(), batch.log(), on, part);
        Optional<Mass> net = BarContents.netMass(batch.plan(), batch.log(), on);
        LabelArt.Writer art = new LabelArt.Writer(sheet.width(), sheet.height(), MARGIN);
        double big = Math.min(5, sheet.height() / 8);
        art.line(part.isEmpty() ? batch.name() : batch.name() + ", " + part, big, Typeface.TEXT);
        art.line(workshop, big * 0.55, Typeface.TEXT);
        art.gap(0.6);
        String small = smallPrint(contents);
        double foot = sheet.height() - MARGIN - big * 0.55 * 1.18;
        double size = LARGEST_SMALL_PRINT;
        while (size > SMALLEST && art.y() + art.heightOf(small, size, Typeface.TEXT) > foot) {
            size -= 0.1;
        }
        art.paragraph(small, size, Typeface.TEXT, foot);
        String mass = net.map(m -> "net " + weight(m, formats)).orElse("net ______");
        art.add(new LabelArt.Words(MARGIN, sheet.height() - MARGIN - 0.2, big * 0.55, Typeface.TEXT, mass));
        double codeWide = Typeface.FIGURES.width(batch.code(), big * 0.55);
        art.add(new LabelArt.Words(
                sheet.width() - MARGIN - codeWide,
                sheet.height() - MARGIN - 0.2,
                big * 0.55,
                Typeface.FIGURES,
                batch.code()));
        return art.done();
    }

    /** Whole grams, and whole tenths of an ounce beside them, never more than it weighs. */
    private static String weight(Mass mass, Formats formats) {
        String ounces = Formats.number(Math.floor(mass.inOunces() * 10) / 10, 1) + " oz";
        String grams = Formats.number(Math.floor(mass.grams()), 0) + " g";
        return "g".equals(formats.massUnit()) ? grams : ounces + " (" + grams + ")";
    }

    static String smallPrint(BarContents contents) {
        String ingredients = "Ingredients: "
                + contents.ingredients().stream()
                        .map(BarContents.Ingredient::name)
                        .collect(Collectors.joining(", ")) + ".";
        String scent = contents.scentAllergens().isEmpty()
                ? ""
                : " Contains " + String.join(", ", contents.scentAllergens()) + ".";
        String food =
                contents.allergens().isEmpty() ? "" : " Made with " + String.join(", ", contents.allergens()) + ".";
        String beside = contents.beside().isEmpty() ? "" : " Made beside " + String.join(", ", contents.beside()) + ".";
        String scraps = contents.ofScraps() ? " With soap that was melted down." : "";
        return ingredients + scent + food + beside + scraps;
    }

    Instant today() {
        return clock.instant();
    }
}
