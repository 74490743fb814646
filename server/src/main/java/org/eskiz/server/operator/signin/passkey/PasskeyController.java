package org.eskiz.server.operator.signin.passkey;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.OpenTo;
import org.eskiz.server.operator.OpenToAnybody;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.signin.PasskeySessions;
import org.eskiz.server.problem.NotSignedInException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "people")
class PasskeyController {

    private final PasskeyService passkeys;
    private final PasskeySessions sessions;

    PasskeyController(PasskeyService passkeys, PasskeySessions sessions) {
        this.passkeys = passkeys;
        this.sessions = sessions;
    }

    @GetMapping("/me/passkeys")
    @OpenTo(Role.GUEST)
    @Operation(operationId = "listPasskeys", summary = "One's own passkeys, the first one first")
    List<PasskeyResponse> list() {
        return passkeys.of(me());
    }

    @PostMapping("/me/passkeys/options")
    @OpenTo(Role.GUEST)
    @Operation(operationId = "passkeyToMake", summary = "What a device is asked for, to make a passkey")
    PasskeyOptions.CreationOptionsResponse toMakeOne() {
        return passkeys.toMakeOne(me(), sessions.nameOf(me().operator()));
    }

    @PostMapping(path = "/me/passkeys", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @OpenTo(Role.GUEST)
    @Operation(operationId = "keepPasskey", summary = "Keep a passkey that a device has made")
    PasskeyResponse keep(@RequestBody PasskeyRequest request) {
        return passkeys.keep(me(), request);
    }

    @DeleteMapping("/me/passkeys/{passkey}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenTo(Role.GUEST)
    @Operation(operationId = "removePasskey", summary = "Let a passkey sign in no more")
    void remove(@PathVariable UUID passkey) {
        passkeys.remove(me(), passkey);
    }

    @PostMapping("/session/passkey/options")
    @OpenToAnybody
    @Operation(operationId = "passkeyToSignIn", summary = "What a device is asked to sign")
    PasskeyOptions.SignInOptionsResponse toSignIn() {
        return passkeys.toSignIn();
    }

    @PostMapping(path = "/session/passkey", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenToAnybody
    @Operation(operationId = "signInByPasskey", summary = "Sign in by what a device has signed")
    void signIn(@RequestBody PasskeySignInRequest signed, HttpServletRequest request) {
        sessions.begin(request, () -> passkeys.signedBy(signed));
    }

    private static AtWork me() {
        return AtWork.now().orElseThrow(NotSignedInException::new);
    }
}
