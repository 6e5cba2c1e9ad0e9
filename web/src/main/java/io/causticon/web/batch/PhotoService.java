package io.causticon.web.batch;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.util.Iterator;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pictures: read, turned upright, made smaller, and kept without what the camera wrote about place and time. */
@Service
class PhotoService {

    private static final int LARGEST_SIDE = 1600;
    private static final int THUMBNAIL_SIDE = 320;
    /** A small file can claim a huge picture; more pixels than any phone takes are refused unread. */
    private static final long MOST_PIXELS = 60_000_000;

    private final PhotoRepository photos;
    private final Clock clock;

    PhotoService(PhotoRepository photos, Clock clock) {
        this.photos = photos;
        this.clock = clock;
    }

    /** @throws ProblemsException if it is not a picture that can be read */
    @Transactional
    String keep(BatchId batch, String fileName, byte[] file) {
        PhotoRow row = new PhotoRow();
        row.batchId = batch.value();
        row.createdAt = clock.instant();
        try {
            checkSize(fileName, file);
            BufferedImage image = Thumbnails.of(new ByteArrayInputStream(file))
                    .size(LARGEST_SIDE, LARGEST_SIDE)
                    .asBufferedImage();
            row.width = image.getWidth();
            row.height = image.getHeight();
            row.image = jpeg(image, LARGEST_SIDE);
            row.thumbnail = jpeg(image, THUMBNAIL_SIDE);
        } catch (IOException e) {
            throw ProblemsException.of("photo", ProblemKey.NOT_A_PICTURE, fileName);
        }
        photos.save(row);
        return row.id.toString();
    }

    @Transactional(readOnly = true)
    byte[] image(UUID id, boolean thumbnail) {
        PhotoRow row = photos.findById(id).orElseThrow(() -> new NotFoundException("photo " + id));
        return thumbnail ? row.thumbnail : row.image;
    }

    private static void checkSize(String fileName, byte[] file) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw ProblemsException.of("photo", ProblemKey.NOT_A_PICTURE, fileName);
            }
            ImageReader reader = readers.next();
            reader.setInput(in);
            if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                throw ProblemsException.of("photo", ProblemKey.NOT_A_PICTURE, fileName);
            }
        }
    }

    private static byte[] jpeg(BufferedImage image, int side) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(image).size(side, side).outputFormat("jpg").outputQuality(0.85).toOutputStream(out);
        return out.toByteArray();
    }
}
