package io.causticon.web.shared.print;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.shared.Drawing;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;

/** Drawings that leave, opened by readers of other makes. */
class DrawingFileTest {

    private static final Color LYE = new Color(0x4d3fc0);
    private static final Color GROUND = new Color(0xecf1ed);

    private final Drawing drawing = Drawing.sized(200, 100, "A curve & its <marks>")
            .line(0, 50, 200, 50, "curve stroke-lye")
            .rect(20, 20, 30, 10, "layer layer-2")
            .rect(60, 20, 30, 10, "heat-15")
            .mark("lye", 100, 80)
            .mark("held", 150, 80)
            .text(10, 95, "now <b>", "strong")
            .link(60, 95, "batch", "row-name held", "/batch/1")
            .done();

    private Document svg() throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        return factory.newDocumentBuilder()
                .parse(new ByteArrayInputStream(DrawingFile.of(drawing, DrawingFile.Kind.SVG)));
    }

    @Test
    void carriesItsColoursMarksAndWordsWithIt() throws Exception {
        Document svg = svg();
        assertThat(svg.getDocumentElement().getNamespaceURI()).isEqualTo("http://www.w3.org/2000/svg");
        String text = new String(DrawingFile.of(drawing, DrawingFile.Kind.SVG), StandardCharsets.UTF_8);
        assertThat(text)
                .contains("#4d3fc0")
                .doesNotContain("class=", "var(", "<use", "href", "currentColor", "currentcolor", "color-mix");
        NodeList words = svg.getElementsByTagName("text");
        assertThat(words.item(0).getTextContent()).isEqualTo("now <b>");
        assertThat(words.item(1).getAttributes().getNamedItem("fill").getNodeValue())
                .as("the later and heavier rule wins")
                .isEqualTo("#b92e12");
        assertThat(svg.getElementsByTagName("title").item(0).getTextContent()).isEqualTo("A curve & its <marks>");
        assertThat(svg.getElementsByTagName("g").getLength())
                .as("a mark is drawn where it stands")
                .isEqualTo(2);
    }

    @Test
    void isAPictureOfTheSame() throws Exception {
        BufferedImage picture = ImageIO.read(new ByteArrayInputStream(DrawingFile.of(drawing, DrawingFile.Kind.PNG)));
        // Twelve units of margin all round, two pixels a unit.
        assertThat(picture.getWidth()).isEqualTo(448);
        assertThat(picture.getHeight()).isEqualTo(248);
        assertThat(new Color(picture.getRGB(2, 2))).isEqualTo(GROUND);
        assertThat(new Color(picture.getRGB(2 * (12 + 190), 2 * (12 + 50)))).isEqualTo(LYE);
        assertThat(new Color(picture.getRGB(2 * (12 + 100), 2 * (12 + 80))))
                .as("the mark")
                .isEqualTo(LYE);
        int ink = 0;
        for (int x = 2 * 22; x < 2 * 60; x++) {
            for (int y = 2 * (12 + 84); y < 2 * (12 + 97); y++) {
                ink += new Color(picture.getRGB(x, y)).getRed() < 100 ? 1 : 0;
            }
        }
        assertThat(ink).as("letters, without a typeface of the machine").isGreaterThan(100);
    }
}
