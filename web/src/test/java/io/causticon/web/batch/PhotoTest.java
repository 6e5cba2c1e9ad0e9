package io.causticon.web.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.problem.ProblemsException;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
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

    private static BufferedImage read(byte[] image) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(image));
    }
}
