package io.causticon.web.store.practice;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A maker who lets the owners see how practice goes. */
@Entity
@Table(name = "practice_shown")
class ShownRow extends NewRow<String> {

    @Id
    String maker = "";

    @Override
    public String getId() {
        return maker;
    }
}
