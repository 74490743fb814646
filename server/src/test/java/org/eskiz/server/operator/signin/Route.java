package org.eskiz.server.operator.signin;

import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import org.eskiz.server.Api;
import org.eskiz.server.operator.AccessRules;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.signin.Club.Person;
import org.springframework.http.MediaType;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** A route of the interface, to be walked by whoever may not. */
public record Route(String method, String path, String type, HandlerMethod handler) {

    private static final Pattern VARIABLE = Pattern.compile("\\{[^}]+}");

    /** Every one there is, by its path. */
    public static List<Route> all(Club club) {
        return club
                .bean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .entrySet()
                .stream()
                .flatMap(e -> e.getKey().getPatternValues().stream()
                        .filter(path -> path.startsWith("/api"))
                        .flatMap(path -> e.getKey().getMethodsCondition().getMethods().stream()
                                .map(method -> new Route(method.name(), path, type(e.getKey()), e.getValue()))))
                .sorted(Comparator.comparing(Route::path).thenComparing(Route::method))
                .toList();
    }

    private static String type(RequestMappingInfo mapping) {
        return mapping.getConsumesCondition().getConsumableMediaTypes().stream()
                .findFirst()
                .map(MediaType::toString)
                .orElse(MediaType.APPLICATION_JSON_VALUE);
    }

    public boolean isOpenToAnybody() {
        return AccessRules.isOpenToAnybody(handler);
    }

    public Role leastRole() {
        return AccessRules.leastRole(handler, method);
    }

    /** @param value of every variable of the path */
    public Api.Answer asked(Person person, String value) {
        boolean hasBody = !List.of("GET", "DELETE").contains(method);
        String with = VARIABLE.matcher(path).replaceAll(value);
        return person.send(method, with, type, hasBody ? "{}" : null);
    }
}
