package io.causticon.web.shared;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is drawn is read again as a camera would. */
class QrCodeTest {

    private static final String ADDRESS = "https://192.0.2.7:8424";
    private static final int PIXELS = 8;
    private static final int WHITE = 0xffffff;

    private static String read(boolean[][] dark) throws Exception {
        int side = dark.length * PIXELS;
        int[] pixels = new int[side * side];
        Arrays.setAll(pixels, i -> dark[i / side / PIXELS][i % side / PIXELS] ? 0 : WHITE);
        return new QRCodeReader()
                .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(side, side, pixels))))
                .getText();
    }

    @Test
    void onAPage() throws Exception {
        QrCode code = new QrCode(ADDRESS);
        boolean[][] dark = new boolean[code.size()][code.size()];
        Matcher run = Pattern.compile("M(\\d+) (\\d+)h(\\d+)v1h-\\d+z").matcher(code.path());
        while (run.find()) {
            int from = Integer.parseInt(run.group(1));
            Arrays.fill(dark[Integer.parseInt(run.group(2))], from, from + Integer.parseInt(run.group(3)), true);
        }
        assertThat(read(dark)).isEqualTo(ADDRESS);
    }

    @Test
    void inATerminal() throws Exception {
        QrCode code = new QrCode(ADDRESS);
        String[] lines = code.text().split("\n");
        boolean[][] dark = new boolean[code.size()][code.size()];
        for (int y = 0; y < code.size(); y++) {
            for (int x = 0; x < code.size(); x++) {
                char half = lines[y / 2].charAt(x);
                boolean light = half == '\u2588' || half == (y % 2 == 0 ? '\u2580' : '\u2584');
                dark[y][x] = !light;
            }
        }
        assertThat(read(dark)).isEqualTo(ADDRESS);
    }
}
