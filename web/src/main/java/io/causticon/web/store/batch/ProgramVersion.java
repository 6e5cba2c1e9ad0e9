package io.causticon.web.store.batch;

import io.causticon.core.workshop.assessment.Assessment;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.ZipFile;

/**
 * Names what the program knows and how it judges: worked out from the core itself, so that nobody has to remember to
 * change it. The same for the same classes and tables, whenever they were built.
 */
final class ProgramVersion {

    private static final String OF_THE_CORE = worked();

    private ProgramVersion() {}

    static String ofTheCore() {
        return OF_THE_CORE;
    }

    private static String worked() {
        try {
            Path core = Path.of(Assessment.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI());
            CRC32 sum = new CRC32();
            for (String part : Files.isDirectory(core) ? ofFolder(core) : ofArchive(core)) {
                sum.update(part.getBytes(StandardCharsets.UTF_8));
            }
            return Long.toHexString(sum.getValue());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (URISyntaxException e) {
            throw new IllegalStateException("Impossible state: the core is nowhere", e);
        }
    }

    private static List<String> ofArchive(Path core) throws IOException {
        try (ZipFile zip = new ZipFile(core.toFile())) {
            return zip.stream()
                    .filter(e -> isPart(e.getName()))
                    .map(e -> e.getName() + " " + e.getCrc())
                    .sorted()
                    .toList();
        }
    }

    private static List<String> ofFolder(Path core) throws IOException {
        List<String> parts = new ArrayList<>();
        try (Stream<Path> files = Files.walk(core)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                String name = core.relativize(file).toString().replace('\\', '/');
                if (isPart(name)) {
                    parts.add(name + " " + sum(file));
                }
            }
        }
        return parts.stream().sorted().toList();
    }

    private static long sum(Path file) throws IOException {
        CRC32 sum = new CRC32();
        try (InputStream in = Files.newInputStream(file)) {
            sum.update(in.readAllBytes());
        }
        return sum.getValue();
    }

    /** What stands beside the core in its archive tells when it was built, not what it knows. */
    private static boolean isPart(String name) {
        return name.startsWith("io/") && !name.endsWith("/");
    }
}
