package io.causticon.web.shared;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** Words as a QR code (ISO/IEC 18004), to be read by a camera from a screen or from a terminal. */
public final class QrCode {

    /** Modules of white round it, which cameras want. */
    private static final int QUIET = 2;

    private final BitMatrix dark;

    public QrCode(String words) {
        this(words, ErrorCorrectionLevel.L);
    }

    private QrCode(String words, ErrorCorrectionLevel spare) {
        try {
            this.dark = new QRCodeWriter()
                    .encode(
                            words,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.MARGIN, QUIET, EncodeHintType.ERROR_CORRECTION, spare));
        } catch (WriterException e) {
            throw new IllegalArgumentException("Impossible state: an address too long for a code", e);
        }
    }

    /** One for paper in a workshop: it is read although a seventh of it is smeared. */
    public static QrCode sturdy(String words) {
        return new QrCode(words, ErrorCorrectionLevel.M);
    }

    /** Squares on a side, with the white round it. */
    public int size() {
        return dark.getWidth();
    }

    public boolean isDark(int x, int y) {
        return dark.get(x, y);
    }

    /** Its dark squares as the path of a drawing, one unit a square. */
    public String path() {
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < size(); y++) {
            for (int x = 0; x < size(); x++) {
                if (dark.get(x, y)) {
                    int from = x;
                    while (x < size() && dark.get(x, y)) {
                        x++;
                    }
                    path.append('M')
                            .append(from)
                            .append(' ')
                            .append(y)
                            .append('h')
                            .append(x - from)
                            .append("v1h")
                            .append(from - x)
                            .append('z');
                }
            }
        }
        return path.toString();
    }

    /** For a terminal with light letters on dark ground: two rows of squares a line, light ones are drawn. */
    public String text() {
        StringBuilder text = new StringBuilder();
        for (int y = 0; y < size(); y += 2) {
            for (int x = 0; x < size(); x++) {
                boolean upper = !dark.get(x, y);
                boolean lower = y + 1 >= size() || !dark.get(x, y + 1);
                text.append(upper && lower ? '\u2588' : upper ? '\u2580' : lower ? '\u2584' : ' ');
            }
            text.append('\n');
        }
        return text.toString();
    }
}
