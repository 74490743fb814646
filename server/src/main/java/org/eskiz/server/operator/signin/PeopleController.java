package org.eskiz.server.operator.signin;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.OpenTo;
import org.eskiz.server.operator.OpenToAnybody;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.operator.signin.SignInService.SignedIn;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.Computation;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "people")
class PeopleController {

    private final PeopleService people;
    private final ComeInService comeIn;
    private final OwnRecordService own;
    private final WorkshopService workshops;
    private final WorkSession session;

    PeopleController(
            PeopleService people,
            ComeInService comeIn,
            OwnRecordService own,
            WorkshopService workshops,
            WorkSession session) {
        this.people = people;
        this.comeIn = comeIn;
        this.own = own;
        this.workshops = workshops;
        this.session = session;
    }

    @GetMapping("/people")
    @Operation(operationId = "listPeople", summary = "Those who belong to the workshop")
    List<PersonResponse> people() {
        return people.people();
    }

    @PutMapping(path = "/people/{person}/role", consumes = MediaType.APPLICATION_JSON_VALUE)
    @OpenTo(Role.KEEPER)
    @Operation(operationId = "setRole", summary = "What somebody may do from now on")
    List<PersonResponse> setRole(@PathVariable UUID person, @RequestBody RoleRequest role) {
        return people.setRole(person, role);
    }

    @DeleteMapping("/people/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenTo(Role.KEEPER)
    @Operation(operationId = "letGo", summary = "Let somebody go; what they made stays")
    void letGo(@PathVariable UUID person) {
        people.letGo(person);
    }

    @PostMapping("/people/{person}/way-back")
    @OpenTo(Role.KEEPER)
    @Operation(operationId = "letBackIn", summary = "A link that lets somebody back in who has lost their password")
    LinkMadeResponse letBackIn(@PathVariable UUID person) {
        return people.letBackIn(person);
    }

    @GetMapping("/links")
    @OpenTo(Role.KEEPER)
    @Operation(operationId = "listLinks", summary = "Links that wait to be used")
    List<LinkResponse> links() {
        return people.waiting();
    }

    @PostMapping(path = "/links", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @OpenTo(Role.KEEPER)
    @Operation(operationId = "invite", summary = "A link by which one person joins")
    LinkMadeResponse invite(@RequestBody RoleRequest role) {
        return people.invite(role);
    }

    @DeleteMapping("/links/{link}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenTo(Role.KEEPER)
    @Operation(operationId = "takeLinkBack", summary = "Take a link back that was not used yet")
    void takeBack(@PathVariable UUID link) {
        people.takeBack(link);
    }

    @PostMapping(path = "/invitations", consumes = MediaType.APPLICATION_JSON_VALUE)
    @OpenToAnybody
    @Operation(operationId = "lookAtInvitation", summary = "What a one-time link is good for")
    InvitationResponse look(@RequestBody SecretRequest request) {
        return comeIn.look(request);
    }

    /** Its hash takes its turn like any computation. */
    @Computation
    @PostMapping(path = "/invitations/use", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenToAnybody
    @Operation(operationId = "comeIn", summary = "Use a one-time link: join, or come back in by another password")
    void comeIn(@RequestBody ComeInRequest asked, HttpServletRequest request) {
        SignedIn in = comeIn.comeIn(asked);
        session.begin(request, in.operator(), in.workshop());
    }

    @PostMapping(path = "/workshops", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @OpenTo(Role.KEEPER)
    @Operation(
            operationId = "beginWorkshop",
            summary = "Begin another workshop under an id made by the client, and keep it")
    void begin(@RequestBody WorkshopRequest request) {
        people.begin(request);
    }

    @PutMapping(path = "/workshops/here", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenTo(Role.KEEPER)
    @Operation(operationId = "renameWorkshop", summary = "Give the workshop another name")
    void rename(@RequestBody NameRequest request) {
        ValidationErrors.in(request).throwIfAny();
        workshops.rename(request.name().strip());
    }

    @PutMapping(path = "/me/name", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenTo(Role.GUEST)
    @Operation(operationId = "renameMe", summary = "Give oneself another name")
    void renameMe(@RequestBody NameRequest request) {
        comeIn.rename(request);
    }

    @Computation
    @PutMapping(path = "/me/password", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenTo(Role.GUEST)
    @Operation(operationId = "changePassword", summary = "Give oneself another password, and sign out everywhere else")
    void changePassword(@RequestBody PasswordRequest asked, HttpServletRequest request) {
        comeIn.changePassword(asked, request.getRemoteAddr(), here(request));
    }

    @GetMapping("/me/sessions")
    @OpenTo(Role.GUEST)
    @Operation(operationId = "listSessions", summary = "Where one is signed in")
    List<OwnSessionResponse> sessions(HttpServletRequest request) {
        return people.sessions(here(request));
    }

    @DeleteMapping("/me/sessions/{session}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenTo(Role.GUEST)
    @Operation(operationId = "signOutThere", summary = "Sign out somewhere else")
    void signOut(@PathVariable String session) {
        people.signOut(session);
    }

    @GetMapping("/me/record")
    @OpenTo(Role.GUEST)
    @Operation(operationId = "getOwnRecord", summary = "All that is stored about oneself")
    OwnRecordResponse record(HttpServletRequest request) {
        return own.record(here(request));
    }

    @DeleteMapping("/me")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenTo(Role.GUEST)
    @Operation(operationId = "leaveForGood", summary = "Leave for good; what one made stays, without the name")
    void leave() {
        own.leave();
    }

    private static String here(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null ? "" : session.getId();
    }
}
