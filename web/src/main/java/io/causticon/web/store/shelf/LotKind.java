package io.causticon.web.store.shelf;

/** Of which table a lot's substance is. */
public enum LotKind {
    FAT,
    ADDITIVE,
    LIQUID,
    ALKALI
}
