package io.causticon.web.exchange.carry;

import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Tables as makers keep their recipes, made up: three styles, two languages, three kinds of file. */
final class OwnTables {

    private OwnTables() {}

    /** A row an ingredient, in German, with semicolons and decimal commas, as an old machine writes it. */
    static Path german(Path folder) throws IOException {
        String text = "Meine Seifen;;;\r\n"
                + ";;;\r\n"
                + "Rezept;Zutat;Menge (g);\u00dcberfettung\r\n"
                + "Dorfseife;Oliven\u00f6l;412,5;5 %\r\n"
                + ";Kokos\u00f6l;137,5;\r\n"
                + ";Wasser;165;\r\n"
                + "Salzst\u00fcck;Kokos\u00f6l;600;0,15\r\n"
                + ";Destilliertes Wasser;200;\r\n"
                + ";Zaubersalz;300;\r\n";
        return Files.write(folder.resolve("seifen.csv"), text.getBytes(Charset.forName("windows-1252")));
    }

    /** Blocks with a merged title over each, ounces in words. */
    static Path blocks(Path folder) throws IOException {
        Path file = folder.resolve("my soaps.xlsx");
        try (OutputStream out = Files.newOutputStream(file);
                Workbook book = new Workbook(out, "made-up", "1.0")) {
            Worksheet sheet = book.newWorksheet("soaps");
            String[][] rows = {
                {"Lavender Doorstep"},
                {"olive oil", "twelve and a half ounces"},
                {"coconut oil", "4 1/4 oz"},
                {"lye", "2\u00bc ounces"},
                {"water", "five ounces"},
                {},
                {"Plain Lard"},
                {"lard", "16 oz"},
                {"superfat", "6 %"}
            };
            for (int r = 0; r < rows.length; r++) {
                for (int c = 0; c < rows[r].length; c++) {
                    sheet.value(r, c, rows[r][c]);
                }
            }
            sheet.range(0, 0, 0, 2).merge();
            sheet.range(6, 0, 6, 2).merge();
            // What a formula would be is not worked out.
            sheet.formula(8, 3, "HYPERLINK(\"http://localhost/x\")");
            sheet.finish();
        }
        return file;
    }

    /** A row a recipe, a column an ingredient. */
    static Path columns(Path folder) throws IOException {
        Sheet sheet = new Sheet("book", 4, 8);
        Object[][] rows = {
            {"Soap", "Date", "Olive oil (g)", "Coconut oil (g)", "Castor oil (g)", "Water (g)", "SF", "Notes"},
            {"Quay Stone", "2024-03-01", 400.0, 150.0, 50.0, 200.0, 5.0, "nice"},
            {"White Ferry", "2024-04-11", null, 600.0, null, 190.0, 0.08, "=1+1"},
            {"Broken One", "2024-05-02", "lots", 100.0, null, 90.0, 5.0, ""}
        };
        for (int r = 0; r < rows.length; r++) {
            for (int c = 0; c < rows[r].length; c++) {
                if (rows[r][c] != null) {
                    sheet.getRange(r, c).setValue(rows[r][c]);
                }
            }
        }
        SpreadSheet book = new SpreadSheet();
        book.appendSheet(sheet);
        Path file = folder.resolve("book.ods");
        book.save(file.toFile());
        return file;
    }
}
