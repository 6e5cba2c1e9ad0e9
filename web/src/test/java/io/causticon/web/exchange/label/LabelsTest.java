package io.causticon.web.exchange.label;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.print.Typeface;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.awt.image.BufferedImage;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** Labels on paper: their size, their words, their code. */
@Application
public class LabelsTest {

    private static final Map<String, Client> INES = new HashMap<>();
    private static final double MM_PER_POINT = 25.4 / 72;

    private static Batch called(RunningApplication application, String name) {
        return application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static byte[] pdf(RunningApplication application, Batch batch, String query) {
        return INES.computeIfAbsent(application.address(), a -> new Client(a).signIn("ines"))
                .bytes("/batch/" + batch.id() + "/labels/sheet.pdf?" + query);
    }

    /** What a camera reads from a picture. */
    public static String decoded(BufferedImage image) throws Exception {
        int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        RGBLuminanceSource source = new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels);
        try {
            return new QRCodeReader()
                    .decode(new BinaryBitmap(new HybridBinarizer(source)), Map.of(DecodeHintType.TRY_HARDER, true))
                    .getText();
        } catch (ReaderException e) {
            // Black and white told apart by their neighbours miss a clean print now and then; by all of the picture
            // they do not.
            return new QRCodeReader()
                    .decode(
                            new BinaryBitmap(new GlobalHistogramBinarizer(source)),
                            Map.of(DecodeHintType.TRY_HARDER, true))
                    .getText();
        }
    }

    @Test
    void theCodeOnPaperLeadsToTheBatch(RunningApplication application) throws Exception {
        Batch batch = called(application, "Honey Loft");
        try (PDDocument document = Loader.loadPDF(pdf(application, batch, "kind=rack&sheet=a4-14&copies=1"))) {
            assertThat(document.getPage(0).getMediaBox().getWidth() * MM_PER_POINT)
                    .isCloseTo(210, within(0.05));
            String address = decodedNearer(document, 4, 2.6);
            assertThat(address).isEqualTo(application.address() + "/batch/" + batch.id());
            String words = new PDFTextStripper().getText(document);
            assertThat(words).contains("Honey Loft").contains(batch.code()).contains("ready about");
        }
    }

    /** Whatever its address comes to, on the smallest label too. */
    @Test
    void everyCodeIsRead(RunningApplication application) throws Exception {
        for (Batch batch : application.bean(BatchService.class).all()) {
            try (PDDocument document = Loader.loadPDF(pdf(application, batch, "kind=rack&sheet=letter-30"))) {
                assertThat(decodedNearer(document, 3, 1.75))
                        .as(batch.name())
                        .endsWith(batch.id().toString());
            }
        }
    }

    /**
     * As a camera that comes nearer: some picture of several is read, of the first label of a sheet.
     *
     * @param wide inches of the sheet that are looked at
     * @param high as much
     */
    private static String decodedNearer(PDDocument document, double wide, double high) throws Exception {
        ReaderException missed = NotFoundException.getNotFoundInstance();
        for (int dpi : List.of(400, 330, 470, 540)) {
            try {
                return decoded(
                        new PDFRenderer(document).renderImageWithDPI(0, dpi).getSubimage(0, 0, (int) (wide * dpi), (int)
                                (high * dpi)));
            } catch (ReaderException e) {
                missed = e;
            }
        }
        throw missed;
    }

    @Test
    void barsTellWhatTheyAreMadeOfInFallingOrder(RunningApplication application) throws Exception {
        Batch batch = called(application, "Sea Buckthorn Winter");
        try (PDDocument document = Loader.loadPDF(pdf(application, batch, "kind=bar&sheet=a4-21&copies=23&first=20"))) {
            // Two go onto the first sheet, twenty-one onto the next.
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            String words = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(words)
                    .containsSubsequence(
                            "Sodium Olivate", "Sodium Cocoate", "Aqua", "Glycerin", "Olea Europaea (Olive) Fruit Oil")
                    .contains("linalool")
                    .contains("net 1");
            assertThat(words.split("Ingredients:", -1)).hasSize(24);
        }
    }

    @Test
    void aHeldBatchHasNoLabelsForBars(RunningApplication application) {
        Batch held = called(application, "Sail Loft Tar");
        Client ines = new Client(application.address()).signIn("ines");
        assertThat(ines.get("/batch/" + held.id() + "/labels/sheet.pdf?kind=bar")
                        .statusCode())
                .isEqualTo(409);
        assertThat(ines.get("/batch/" + held.id() + "/labels?kind=bar").body())
                .contains("This batch is held")
                .doesNotContain("PDF to print");
        assertThat(ines.get("/batch/" + held.id() + "/labels?kind=rack").body()).contains("HELD");

        // Nor has a cup that is set apart; the one beside it says what was made with it.
        String cups = "/batch/" + called(application, "Six Waters").id() + "/labels";
        assertThat(ines.get(cups + "/label.svg?kind=bar&part=beer").statusCode())
                .isEqualTo(409);
        assertThat(ines.get(cups + "?kind=bar&part=beer").body())
                .contains("are set apart (smells sour)")
                .doesNotContain("PDF to print");
        assertThat(ines.get(cups + "/label.svg?kind=bar&part=goat").body()).contains("Made beside gluten");
        assertThat(ines.get("/recall?find=goat+milk").body()).contains("Six Waters");
    }

    @Test
    void whatNoFontHasIsAQuestionMarkAndWhatIsTooLongIsCut() {
        assertThat(Typeface.TEXT.runs("Żółw \u2603").stream()
                        .map(Typeface.Run::text)
                        .reduce("", String::concat))
                .isEqualTo("Żółw ?");
        LabelArt.Writer art = new LabelArt.Writer(40, 20, 3);
        art.line("A name that nobody would give to any soap in the whole world, ever", 4, Typeface.TEXT);
        art.paragraph("word ".repeat(200), 2, Typeface.TEXT, 17);
        LabelArt done = art.done();
        assertThat(done.leftOut()).isTrue();
        assertThat(done.pieces()).allSatisfy(p -> {
            LabelArt.Words words = (LabelArt.Words) p;
            assertThat(words.x() + words.font().width(words.text(), words.size()))
                    .isLessThanOrEqualTo(37.01);
            assertThat(words.y()).isLessThanOrEqualTo(17);
        });
        assertThat(LabelPrint.svg(new LabelArt(
                        10, 10, List.of(new LabelArt.Words(0, 5, 2, Typeface.TEXT, "<script>&\u0000")), false)))
                .contains("&lt;script&gt;&amp;")
                .doesNotContain("<script>");
    }
}
