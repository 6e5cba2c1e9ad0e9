package io.causticon.web.places.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.problem.ProblemsException;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.PhotoService;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

@Application
class PhotoTest {

    private PhotoService photos;
    private BatchId batch;

    @BeforeEach
    void take(RunningApplication application) {
        photos = application.bean(PhotoService.class);
        batch = application.bean(BatchService.class).all().get(0).id();
    }

    @Test
    void isMadeSmallerAndWrittenAnew() throws IOException {
        BufferedImage crust = new BufferedImage(3000, 2000, BufferedImage.TYPE_INT_RGB);
        crust.createGraphics().drawLine(0, 0, 2999, 1999);
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageIO.write(crust, "png", file);
        String id = photos.keep(batch, "crust.png", file.toByteArray());
        BufferedImage kept = read(photos.image(UUID.fromString(id), false));
        assertThat(kept.getWidth()).isEqualTo(1600);
        assertThat(kept.getHeight()).isBetween(1066, 1067);
        assertThat(read(photos.image(UUID.fromString(id), true)).getWidth()).isEqualTo(320);
        assertThat(new Color(kept.getRGB(10, 800)).getRed()).isLessThan(30);
    }

    @Test
    void thatIsNoPictureIsRefused() {
        byte[] words = "not a picture at all".getBytes(StandardCharsets.UTF_8);
        assertThatThrownBy(() -> photos.keep(batch, "notes.txt", words))
                .isInstanceOf(ProblemsException.class)
                .hasMessageContaining("NOT_A_PICTURE");
    }

    /** A PNG of one colour, of which the rows are never laid out: small on disk, huge when it is unpacked. */
    private static byte[] claims(int width, int height) throws IOException {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        ByteBuffer header = ByteBuffer.allocate(13).putInt(width).putInt(height).put(new byte[] {8, 2, 0, 0, 0});
        chunk(file, "IHDR", header.array());
        ByteArrayOutputStream rows = new ByteArrayOutputStream();
        try (DeflaterOutputStream packed = new DeflaterOutputStream(rows)) {
            byte[] row = new byte[1 + 3 * width];
            for (int y = 0; y < height; y++) {
                packed.write(row);
            }
        }
        chunk(file, "IDAT", rows.toByteArray());
        chunk(file, "IEND", new byte[0]);
        return file.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream file, String type, byte[] data) throws IOException {
        byte[] named = ByteBuffer.allocate(4 + data.length)
                .put(type.getBytes(StandardCharsets.US_ASCII))
                .put(data)
                .array();
        CRC32 check = new CRC32();
        check.update(named);
        file.write(ByteBuffer.allocate(4).putInt(data.length).array());
        file.write(named);
        file.write(ByteBuffer.allocate(4).putInt((int) check.getValue()).array());
    }

    @Test
    void withMorePixelsThanATelephoneTakesIsRefusedByItsHeader() throws IOException {
        byte[] huge = claims(10_000, 6_000);
        assertThat(huge).hasSizeLessThan(400_000);
        assertThatThrownBy(() -> photos.keep(batch, "huge.png", huge))
                .isInstanceOf(ProblemsException.class)
                .hasMessageContaining("TOO_MANY_PIXELS");
    }

    @Test
    void ofALargeTelephoneIsReadSparsely() throws IOException {
        String id = photos.keep(batch, "large.png", claims(8_000, 6_000));
        assertThat(read(photos.image(UUID.fromString(id), false)).getWidth()).isEqualTo(1600);
    }

    @Test
    void thatBreaksOffIsRefused() throws IOException {
        byte[] whole = claims(800, 600);
        for (int length : new int[] {8, 20, 40, 60}) {
            byte[] part = Arrays.copyOf(whole, length);
            assertThatThrownBy(() -> photos.keep(batch, "part.png", part)).isInstanceOf(ProblemsException.class);
        }
    }

    private static BufferedImage read(byte[] image) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(image));
    }
}
