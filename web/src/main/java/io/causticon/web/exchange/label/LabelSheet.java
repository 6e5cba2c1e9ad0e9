package io.causticon.web.exchange.label;

import java.util.List;
import java.util.Optional;

/**
 * A sheet of labels as it is sold, in millimetres.
 *
 * @param id names it in an address
 * @param words on a form
 * @param pageWidth of the paper
 * @param pageHeight of the paper
 * @param columns of labels
 * @param rows of labels
 * @param width of a label
 * @param height of a label
 * @param left edge of the first
 * @param top edge of the first
 * @param stepX from the left edge of one to that of the next
 * @param stepY from the top edge of one to that of the next
 */
record LabelSheet(
        String id,
        String words,
        double pageWidth,
        double pageHeight,
        int columns,
        int rows,
        double width,
        double height,
        double left,
        double top,
        double stepX,
        double stepY) {

    static final List<LabelSheet> ALL = List.of(
            new LabelSheet("a4-10", "A4, 10 of 99 x 57 mm", 210, 297, 2, 5, 99, 57, 4.5, 6, 102, 57),
            new LabelSheet("a4-14", "A4, 14 of 99.1 x 38.1 mm", 210, 297, 2, 7, 99.1, 38.1, 4.65, 15.15, 101.6, 38.1),
            new LabelSheet("a4-21", "A4, 21 of 63.5 x 38.1 mm", 210, 297, 3, 7, 63.5, 38.1, 7.25, 15.15, 66.0, 38.1),
            new LabelSheet("a4-24", "A4, 24 of 70 x 37 mm", 210, 297, 3, 8, 70, 37, 0, 0.5, 70, 37),
            new LabelSheet(
                    "letter-10", "US letter, 10 of 4 x 2 in", 215.9, 279.4, 2, 5, 101.6, 50.8, 4.0, 12.7, 106.3, 50.8),
            new LabelSheet(
                    "letter-30",
                    "US letter, 30 of 2 5/8 x 1 in",
                    215.9,
                    279.4,
                    3,
                    10,
                    66.7,
                    25.4,
                    4.8,
                    12.7,
                    69.85,
                    25.4));

    static Optional<LabelSheet> called(String id) {
        return ALL.stream().filter(s -> s.id.equals(id)).findFirst();
    }

    int count() {
        return columns * rows;
    }

    /** Left edge of a label on its page, counted from 0. */
    double x(int place) {
        return left + place % columns * stepX;
    }

    /** Top edge of a label on its page. */
    double y(int place) {
        return top + place % count() / columns * stepY;
    }
}
