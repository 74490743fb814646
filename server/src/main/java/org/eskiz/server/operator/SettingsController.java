package org.eskiz.server.operator;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/settings")
@Tag(name = "settings")
class SettingsController {

    private final SettingsService settings;

    SettingsController(SettingsService settings) {
        this.settings = settings;
    }

    @GetMapping
    @OpenToVisitors
    @Operation(operationId = "getSettings", summary = "How the operator likes to work; the defaults until they say")
    Settings get() {
        return settings.get();
    }

    @OpenTo(Role.GUEST)
    @PutMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "saveSettings", summary = "Replace the settings; 409 when they were changed meanwhile")
    Settings save(@RequestBody Settings changed) {
        return settings.save(changed);
    }
}
