package io.causticon.web.exchange.carry;

import io.causticon.web.shared.Formats;
import io.causticon.web.shared.print.TableFile;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.arrival.LogTable;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import io.causticon.web.store.document.Row;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Documents in a zip that opens with ordinary tools: JSON, tables, pictures, and a README with the schemas. */
@Component
class WorkshopZip {

    private static final String README = "carry/README.txt";
    private static final int LONGEST_NAME = 40;

    private final Documents documents;
    private final LogTable logs;
    private final AccountService accounts;
    private final TransactionTemplate asOneMoment;
    private final Clock clock;

    WorkshopZip(
            Documents documents,
            LogTable logs,
            AccountService accounts,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.documents = documents;
        this.logs = logs;
        this.accounts = accounts;
        this.asOneMoment = new TransactionTemplate(transactions);
        asOneMoment.setReadOnly(true);
        // Whoever logs meanwhile is not in it, and not half of it.
        asOneMoment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
        this.clock = clock;
    }

    /** What is to be in it: all of the workshop, or documents of one kind. */
    record Asked(boolean whole, DocumentKind kind, Collection<?> keys) {

        static Asked all() {
            return new Asked(true, DocumentKind.WORKSHOP, List.of());
        }
    }

    /**
     * Writes it beside the data, to be sent when it is whole: a reader who is slow keeps nothing open.
     *
     * @return a file that is to be deleted when it was sent
     */
    Path write(Asked asked, Path folder, Maker maker) {
        try {
            Files.createDirectories(folder);
            Path file = Files.createTempFile(folder, "out-", ".zip");
            try (OutputStream out = Files.newOutputStream(file);
                    ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
                asOneMoment.executeWithoutResult(t -> put(asked, zip, maker));
            } catch (RuntimeException e) {
                Files.deleteIfExists(file);
                throw e;
            }
            return file;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void put(Asked asked, ZipOutputStream zip, Maker maker) {
        put(zip, "README.txt", out -> out.write(readme(maker).getBytes(StandardCharsets.UTF_8)));
        schemas(zip);
        if (!asked.whole()) {
            asked.keys().forEach(k -> one(zip, asked.kind(), k, maker.formats()));
            return;
        }
        documents.json(DocumentKind.SHELF, "").ifPresent(json -> put(zip, "shelf.json", out -> out.write(json)));
        for (DocumentKind kind : List.of(DocumentKind.RECIPE, DocumentKind.BATCH, DocumentKind.TRIAL)) {
            documents.keys(kind).forEach(k -> one(zip, kind, k, maker.formats()));
        }
        documents.json(DocumentKind.WORKSHOP, "").ifPresent(json -> put(zip, "workshop.json", out -> out.write(json)));
        put(zip, "people.csv", out -> people(new OutputStreamWriter(out, StandardCharsets.UTF_8)));
    }

    private void one(ZipOutputStream zip, DocumentKind kind, Object key, Formats formats) {
        documents.json(kind, key).ifPresent(json -> {
            List<Row> rows = documents.rows(kind, key);
            String name = fileName(kind, rows.get(0));
            put(zip, folder(kind) + name + ".json", out -> out.write(json));
            if (kind == DocumentKind.BATCH) {
                put(zip, "logs/" + name + ".csv", out -> {
                    Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
                    logs.write((UUID) key, formats, TableFile.csv(writer, LogTable.HEADINGS));
                    writer.flush();
                });
                rows.stream().filter(r -> r.table().name().equals("photo")).forEach(r -> pictures(zip, r));
            }
        });
    }

    private void pictures(ZipOutputStream zip, Row photo) {
        for (String column : List.of("image", "thumbnail")) {
            String name = photo.required(column).toString();
            put(zip, name, out -> documents.picture(name, out));
        }
    }

    private static String folder(DocumentKind kind) {
        return switch (kind) {
            case RECIPE -> "recipes/";
            case BATCH -> "batches/";
            case TRIAL -> "trials/";
            case SHELF, WORKSHOP -> "";
        };
    }

    /** Something to find it by, and the id, so that no two are called the same. */
    static String fileName(DocumentKind kind, Row root) {
        String name = switch (kind) {
            case BATCH -> root.required("code") + " " + root.required("name");
            case TRIAL -> root.required("question").toString();
            default -> root.required("name").toString();
        };
        String plain =
                name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", "-").replaceAll("^-|-$", "");
        String words = plain.length() > LONGEST_NAME ? plain.substring(0, LONGEST_NAME) : plain;
        return words + "-" + root.key().toString().substring(0, 8);
    }

    private String readme(Maker maker) {
        try (InputStream in = getClass().getClassLoader().getResourceAsStream(README)) {
            if (in == null) {
                throw new IllegalStateException("Impossible state: no " + README);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .replace("{workshop}", maker.workshop())
                    .replace("{moment}", maker.formats().moment(clock.instant()) + " (" + maker.zone() + ")");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void schemas(ZipOutputStream zip) {
        try {
            for (var schema :
                    new PathMatchingResourcePatternResolver().getResources("classpath:formats/*.schema.json")) {
                put(zip, "formats/" + schema.getFilename(), out -> {
                    try (InputStream in = schema.getInputStream()) {
                        in.transferTo(out);
                    }
                });
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Who was there; nothing that opens anything. */
    private void people(Writer to) throws IOException {
        TableFile.Rows cells = TableFile.csv(to, List.of("name", "written_as", "may", "signs_in"));
        accounts.people()
                .forEach(a ->
                        cells.row(a.name(), a.displayName(), a.role().name().toLowerCase(Locale.ROOT), a.active()));
        to.flush();
    }

    /** Writes the bytes of one file. */
    private interface Content {
        void to(OutputStream out) throws IOException;
    }

    private static void put(ZipOutputStream zip, String name, Content content) {
        try {
            zip.putNextEntry(new ZipEntry(name));
            content.to(new Unclosed(zip));
            zip.closeEntry();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The zip goes on when one of its files is whole. */
    private static final class Unclosed extends java.io.FilterOutputStream {

        Unclosed(OutputStream out) {
            super(out);
        }

        @Override
        public void write(byte[] some, int from, int length) throws IOException {
            out.write(some, from, length);
        }

        @Override
        public void close() throws IOException {
            flush();
        }
    }
}
