package io.causticon.web.store.arrival;

import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.DocumentReader;
import io.causticon.web.store.document.PictureFiles;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.RandomAccessFile;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.jspecify.annotations.Nullable;

/**
 * A file that was brought in: one document, or a zip of documents and pictures. Whatever a zip claims of itself, what
 * is read of it is counted while it is read; its paths are names to look for and never places to write to.
 */
final class Parcel implements AutoCloseable {

    private static final int MOST_FILES = 65_000;

    /** So much the list of files at the end of a zip may take; it is read as one. */
    private static final long LARGEST_LIST = 16L * 1024 * 1024;

    private static final int LARGEST_PICTURE = 8 * 1024 * 1024;

    /** All documents of a workshop of thousands of batches have a tenth of it. */
    private static final long MOST_READ = 6L * 1024 * 1024 * 1024;

    private static final int END_OF_ZIP = 0x06054b50;
    private static final int END_LENGTH = 22;
    private static final int LONGEST_COMMENT = 65_535;
    private static final int HEAD = 400;
    private static final Pattern FORMAT = Pattern.compile("\"format\"\\s*:\\s*\"causticon/([a-z]{1,20})\"");

    private final Path file;
    private final @Nullable ZipFile zip;
    private final List<String> names;
    private final Map<String, String> pictures = new HashMap<>();
    private long read;

    private Parcel(Path file, @Nullable ZipFile zip, List<String> names) {
        this.file = file;
        this.zip = zip;
        this.names = names;
    }

    /**
     * Opens a file that was brought in.
     *
     * @throws DocumentFault if it is neither a document nor a zip, or a zip that cannot be read
     */
    static Parcel open(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            byte[] head = in.readNBytes(4);
            if (head.length == 0) {
                throw new DocumentFault("The file is empty.");
            }
            if (head.length == 4 && head[0] == 'P' && head[1] == 'K') {
                return zip(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new Parcel(file, null, List.of(""));
    }

    private static Parcel zip(Path file) throws IOException {
        checkList(file);
        try {
            ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8);
            Parcel parcel = new Parcel(file, zip, new ArrayList<>());
            try {
                parcel.list();
                return parcel;
            } catch (RuntimeException e) {
                parcel.close();
                throw e;
            }
        } catch (ZipException | IllegalArgumentException e) {
            throw new DocumentFault(
                    "This zip cannot be read: it was cut short on its way, or is damaged. (" + e.getMessage() + ")");
        }
    }

    /** Looks at the end of a zip before anybody reads the list of its files into memory. */
    private static void checkList(Path file) throws IOException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            int tail = (int) Math.min(in.length(), END_LENGTH + LONGEST_COMMENT);
            byte[] end = new byte[tail];
            in.seek(in.length() - tail);
            in.readFully(end);
            for (int i = tail - END_LENGTH; i >= 0; i--) {
                if (number(end, i, 4) == END_OF_ZIP) {
                    if (number(end, i + 10, 2) > MOST_FILES || number(end, i + 12, 4) > LARGEST_LIST) {
                        throw new DocumentFault(
                                "This zip has more files than any workshop's. At most " + MOST_FILES + " are read.");
                    }
                    return;
                }
            }
            throw new DocumentFault("This zip cannot be read: it was cut short on its way, its end is missing.");
        }
    }

    private static long number(byte[] bytes, int at, int length) {
        long number = 0;
        for (int i = length - 1; i >= 0; i--) {
            number = number << 8 | bytes[at + i] & 0xff;
        }
        return number;
    }

    private void list() {
        Set<String> known = new HashSet<>();
        for (ZipEntry entry : Collections.list(zip.entries())) {
            String name = entry.getName();
            if (entry.isDirectory()) {
                continue;
            }
            if (!known.add(name)) {
                throw new DocumentFault("This zip has two files of one name: " + name);
            }
            String small = name.toLowerCase(Locale.ROOT);
            if (small.endsWith(".json") && !small.endsWith(".schema.json")) {
                names.add(name);
            } else if (small.endsWith(".jpg")) {
                int folder = name.lastIndexOf('/');
                String picture = PictureFiles.FOLDER + name.substring(folder + 1);
                if (PictureFiles.isOne(picture)) {
                    pictures.putIfAbsent(picture, name);
                }
            }
        }
        if (names.isEmpty()) {
            throw new DocumentFault("There is no document in this zip: none of its files ends with .json.");
        }
    }

    /**
     * A document in it.
     *
     * @param name of its file; empty where the parcel is the document
     * @param kind what it says that it is of; empty if it says nothing that is known here
     */
    record Part(String name, Optional<DocumentKind> kind) {}

    /** Its documents in the order in which they can arrive. */
    List<Part> parts() {
        return names.stream()
                .map(n -> new Part(n, kind(n)))
                .sorted(Comparator.<Part>comparingInt(
                                p -> p.kind().map(Enum::ordinal).orElse(DocumentKind.values().length))
                        .thenComparing(Part::name))
                .toList();
    }

    private Optional<DocumentKind> kind(String name) {
        try (InputStream in = stream(name)) {
            Matcher said = FORMAT.matcher(new String(in.readNBytes(HEAD), StandardCharsets.UTF_8));
            return said.find() ? DocumentKind.called(said.group(1)) : Optional.empty();
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** @throws DocumentFault if it is larger than any document, or cannot be read */
    byte[] document(String name) {
        return bytes(name, DocumentReader.LARGEST, "larger than any document of a workshop");
    }

    boolean hasPicture(String name) {
        return pictures.containsKey(name);
    }

    /** @throws DocumentFault if it is larger than any picture, or cannot be read */
    byte[] picture(String name) {
        return bytes(String.valueOf(pictures.get(name)), LARGEST_PICTURE, "larger than any picture that is kept");
    }

    private byte[] bytes(String name, int most, String tooLarge) {
        try (InputStream in = stream(name)) {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            byte[] some = new byte[64 * 1024];
            for (int n = in.read(some); n >= 0; n = in.read(some)) {
                read += n;
                if (out.size() + n > most) {
                    throw new DocumentFault("It is " + tooLarge + ": more than " + most / (1024 * 1024) + " MB.");
                }
                if (read > MOST_READ) {
                    throw new DocumentFault("This zip holds more than any workshop.");
                }
                out.write(some, 0, n);
            }
            return out.toByteArray();
        } catch (IOException e) {
            throw new DocumentFault("It cannot be read: it is damaged, or was cut short on its way.");
        }
    }

    private InputStream stream(String name) throws IOException {
        if (zip == null) {
            return Files.newInputStream(file);
        }
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw new IOException("no " + name);
        }
        return zip.getInputStream(entry);
    }

    @Override
    public void close() {
        if (zip != null) {
            try {
                zip.close();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
