package org.eskiz.server.exchange;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AttenuationFit;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.CopperFloor;
import org.eskiz.core.cable.SheetCheck;
import org.eskiz.core.cable.ShieldBore;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** Reads tables of attenuation and says what was understood; stores nothing. */
@Service
class SheetTextService {

    SheetTextResponse read(SheetTextRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        SheetTextReader text;
        try {
            text = SheetTextReader.read(request);
        } catch (LoadFileException e) {
            errors.add("text", e.getMessage());
            errors.throwIfAny();
            throw e;
        }
        List<AttenuationPoint> points = text.rows.stream()
                .map(r -> new AttenuationPoint(r.frequencyMHz(), r.dbPer100m()))
                .toList();
        AttenuationFit fit = AttenuationFit.of(points);
        return new SheetTextResponse(
                rows(text, fit),
                text.skipped.stream()
                        .map(s -> new SheetTextResponse.SkippedLineResponse(s.line(), s.text(), s.why(), s.isRow()))
                        .toList(),
                new SheetTextResponse.UnderstoodResponse(
                        text.separator.word,
                        text.isDecimalComma(),
                        text.hasHeader,
                        text.lossColumn + 1,
                        text.columns,
                        text.isLying,
                        text.frequencyUnit,
                        text.lossPer),
                SheetCheck.of(points, floor(request)).stream()
                        .map(f -> new SheetTextResponse.SheetFindingResponse(f.slip(), boxed(f.row()), f.number()))
                        .toList(),
                fit(fit));
    }

    private static List<SheetTextResponse.SheetRowResponse> rows(SheetTextReader text, AttenuationFit fit) {
        return IntStream.range(0, text.rows.size())
                .mapToObj(i -> new SheetTextResponse.SheetRowResponse(
                        text.rows.get(i).line(),
                        text.rows.get(i).frequencyMHz(),
                        text.rows.get(i).dbPer100m(),
                        fit.relativeResiduals().get(i)))
                .toList();
    }

    private static SheetTextResponse.SheetFitResponse fit(AttenuationFit fit) {
        Attenuation law = fit.attenuation();
        return new SheetTextResponse.SheetFitResponse(law.k1(), law.k2(), fit.worstRelativeResidual());
    }

    private static OptionalDouble floor(SheetTextRequest r) {
        Optional<ShieldBore> bore = ShieldBore.of(
                optional(r.shieldBoreMm()), optional(r.outerDiameterMm()), requireNonNullElse(r.shield(), ""));
        return r.impedanceOhm() == null || r.velocityFactor() == null || bore.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(CopperFloor.ofCoax(r.impedanceOhm(), r.velocityFactor(), bore.get()));
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Integer boxed(OptionalInt row) {
        return row.isEmpty() ? null : Integer.valueOf(row.getAsInt());
    }
}
