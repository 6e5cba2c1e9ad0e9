package io.causticon.web.exchange.carry;

import io.causticon.web.store.document.DocumentFault;
import java.io.BufferedReader;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;

/**
 * The lines of a table in a text file, read one at a time, in whatever alphabet the file was written. A quotation mark
 * that is never closed does not pull the rest of the file into memory.
 */
final class TableLines {

    private static final int LOOKED_AT = 64 * 1024;
    private static final int LONGEST_LINE = 64 * 1024;
    private static final Charset WINDOWS = Charset.forName("windows-1252");

    private final Path file;
    private final Charset charset;

    TableLines(Path file) {
        this.file = file;
        this.charset = charset(file);
    }

    /** The alphabet that its first bytes tell. */
    private static Charset charset(Path file) {
        byte[] head;
        try (InputStream in = Files.newInputStream(file)) {
            head = in.readNBytes(LOOKED_AT);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        if (head.length > 1
                && (head[0] == (byte) 0xff && head[1] == (byte) 0xfe
                        || head[0] == (byte) 0xfe && head[1] == (byte) 0xff)) {
            return StandardCharsets.UTF_16;
        }
        for (byte b : head) {
            if (b == 0) {
                throw new DocumentFault(
                        "This is no table of text: there are zero bytes in it. A table of comma-separated values is"
                                + " meant.");
            }
        }
        return isUtf8(head) ? StandardCharsets.UTF_8 : WINDOWS;
    }

    /** A letter that is cut at the end of what was looked at is none that is wrong. */
    private static boolean isUtf8(byte[] head) {
        for (int cut = 0; cut < 4 && cut < head.length; cut++) {
            try {
                StandardCharsets.UTF_8
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .decode(ByteBuffer.wrap(head, 0, head.length - cut));
                return true;
            } catch (CharacterCodingException e) {
                if (head.length < LOOKED_AT) {
                    return false;
                }
            }
        }
        return head.length == 0;
    }

    /** Reads lines one after the other. */
    interface Each {

        /**
         * @param number of the line, counted from 1
         * @return whether to go on
         */
        boolean line(long number, List<String> cells);
    }

    /** The first lines as they stand, undivided. */
    List<String> first(int most) {
        List<String> lines = new ArrayList<>();
        try (BufferedReader in = new BufferedReader(reader())) {
            StringBuilder line = new StringBuilder();
            for (int c = in.read(); c >= 0 && lines.size() < most; c = in.read()) {
                if (c == '\n') {
                    lines.add(line.toString());
                    line.setLength(0);
                } else if (c != '\r' && line.length() < LONGEST_LINE) {
                    line.append((char) c);
                }
            }
            if (!line.isEmpty() && lines.size() < most) {
                lines.add(line.toString());
            }
            return lines;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws DocumentFault if a line is longer than any table's */
    void each(char delimiter, Each each) {
        try (Gauge in = new Gauge(new BufferedReader(reader()));
                CSVParser parser = format(delimiter).parse(in)) {
            Iterator<CSVRecord> records = parser.iterator();
            while (records.hasNext()) {
                CSVRecord record = records.next();
                in.next();
                if (!each.line(parser.getCurrentLineNumber(), List.of(record.values()))) {
                    return;
                }
            }
        } catch (IOException | IllegalStateException | UncheckedIOException e) {
            throw new DocumentFault(
                    "The table cannot be read to its end: a quotation mark stands where none can, or is never closed.");
        }
    }

    private Reader reader() throws IOException {
        Reader in = new InputStreamReader(
                Files.newInputStream(file),
                charset.newDecoder()
                        .onMalformedInput(CodingErrorAction.REPLACE)
                        .onUnmappableCharacter(CodingErrorAction.REPLACE));
        BufferedReader buffered = new BufferedReader(in);
        buffered.mark(1);
        if (buffered.read() != '\ufeff') {
            buffered.reset();
        }
        return buffered;
    }

    private static CSVFormat format(char delimiter) {
        return CSVFormat.DEFAULT
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(false)
                .setLenientEof(true)
                .setTrailingData(true)
                .setDuplicateHeaderMode(DuplicateHeaderMode.ALLOW_ALL)
                .get();
    }

    /** Counts what is read between two lines. */
    private static final class Gauge extends FilterReader {

        private long since;

        Gauge(Reader in) {
            super(in);
        }

        void next() {
            since = 0;
        }

        @Override
        public int read(char[] some, int from, int length) throws IOException {
            int n = super.read(some, from, length);
            since += Math.max(0, n);
            if (since > LONGEST_LINE + 64 * 1024) {
                throw new DocumentFault(
                        "A line of this table is longer than any: a quotation mark may be opened and never closed.");
            }
            return n;
        }

        @Override
        public int read() throws IOException {
            since++;
            return super.read();
        }
    }
}
