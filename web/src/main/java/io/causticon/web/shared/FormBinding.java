package io.causticon.web.shared;

import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;

/**
 * Fields of a form are components of a record, and nothing else of a request is put anywhere. Without this each field that no record asks for is
 * looked for among the setters that no record has, by an exception thrown and caught for every one of them.
 */
@ControllerAdvice
class FormBinding {

    @InitBinder
    void components(WebDataBinder binder) {
        binder.setDeclarativeBinding(true);
    }
}
