package io.causticon.web.exchange.api;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The description of the interface (OpenAPI), as it is published in docs/formats. */
@RestController
class OpenApiController {

    @GetMapping(path = ApiSecurity.DESCRIPTION, produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Resource> description() {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .body(new ClassPathResource("formats/openapi.json"));
    }
}
