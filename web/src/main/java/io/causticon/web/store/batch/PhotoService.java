package io.causticon.web.store.batch;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pictures: read, turned upright, made smaller, and kept without what the camera wrote about place and time. */
@Service
public class PhotoService {

    private static final int LARGEST_SIDE = 1600;
    private static final int THUMBNAIL_SIDE = 320;
    /** A small file can claim a huge picture; more pixels than nearly any telephone takes are refused unread. */
    private static final long MOST_PIXELS = 50_000_000;

    /**
     * So many times as large as it is kept, and no larger, it is unpacked: rows and columns in between are left out
     * while it is read.
     */
    private static final int FINER = 2;

    /** What a picture is read from; other kinds take libraries that are seldom used and seldom looked at. */
    private static final Set<String> KINDS = Set.of("jpeg", "png");

    /** One at a time: unpacking takes a processor and some tens of megabytes. */
    private final Semaphore unpacking = new Semaphore(1);

    private final PhotoRepository photos;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    PhotoService(PhotoRepository photos, JdbcTemplate jdbc, Clock clock) {
        this.photos = photos;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @throws ProblemsException if it is not a picture that can be read */
    @Transactional
    public String keep(BatchId batch, String fileName, byte[] file) {
        PhotoRow row = new PhotoRow();
        row.batchId = batch.value();
        row.createdAt = clock.instant();
        try {
            BufferedImage image = unpacked(fileName, file);
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

    /**
     * Whether this is a picture such as this service writes: a JPEG of a size that it keeps. Its pixels are not
     * unpacked.
     */
    static boolean isKept(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                return false;
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return reader.getFormatName().equalsIgnoreCase("jpeg")
                        && reader.getWidth(0) <= LARGEST_SIDE
                        && reader.getHeight(0) <= LARGEST_SIDE;
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            // The readers of the platform meet broken files with whatever exception they come to.
            return false;
        }
    }

    private BufferedImage unpacked(String fileName, byte[] file) throws IOException {
        unpacking.acquireUninterruptibly();
        try {
            return read(fileName, file);
        } catch (RuntimeException e) {
            // The readers of the platform meet broken files with whatever exception they come to.
            throw e instanceof ProblemsException known
                    ? known
                    : ProblemsException.of("photo", ProblemKey.NOT_A_PICTURE, fileName);
        } finally {
            unpacking.release();
        }
    }

    @Transactional(readOnly = true)
    public byte[] image(UUID id, boolean thumbnail) {
        // The large one is not fetched where the small one is wanted.
        String picture =
                thumbnail ? "select thumbnail from photo where id = ?" : "select image from photo where id = ?";
        return jdbc.query(picture, (row, i) -> row.getBytes(1), id).stream()
                .findFirst()
                .orElseThrow(() -> new NotFoundException("photo " + id));
    }

    /** Reads its size first, then as few of its pixels as are needed, and turns it upright. */
    private static BufferedImage read(String fileName, byte[] file) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw ProblemsException.of("photo", ProblemKey.NOT_A_PICTURE, fileName);
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, false);
                long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
                if (!KINDS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                    throw ProblemsException.of("photo", ProblemKey.NOT_A_PICTURE, fileName);
                }
                if (pixels > MOST_PIXELS) {
                    throw ProblemsException.of(
                            "photo", ProblemKey.TOO_MANY_PIXELS, pixels / 1_000_000, MOST_PIXELS / 1_000_000);
                }
                ImageReadParam sparse = reader.getDefaultReadParam();
                int every = Math.max(1, Math.max(reader.getWidth(0), reader.getHeight(0)) / (FINER * LARGEST_SIDE));
                sparse.setSourceSubsampling(every, every, 0, 0);
                return upright(reader.read(0, sparse), file);
            } finally {
                reader.dispose();
            }
        }
    }

    private static BufferedImage upright(BufferedImage image, byte[] file) throws IOException {
        BufferedImage small =
                Thumbnails.of(image).size(LARGEST_SIDE, LARGEST_SIDE).asBufferedImage();
        Orientation orientation = orientation(file);
        return orientation == null || orientation == Orientation.TOP_LEFT
                ? small
                : ExifFilterUtils.getFilterForOrientation(orientation).apply(small);
    }

    /** How the camera was held; null where it does not say. */
    private static @Nullable Orientation orientation(byte[] file) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            ImageReader reader = ImageIO.getImageReaders(in).next();
            try {
                reader.setInput(in);
                return ExifUtils.getExifOrientation(reader, 0);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            // A picture whose notes cannot be read is still a picture.
            return null;
        }
    }

    private static byte[] jpeg(BufferedImage image, int side) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(image)
                .size(side, side)
                .outputFormat("jpg")
                .outputQuality(0.85)
                .toOutputStream(out);
        return out.toByteArray();
    }
}
