package org.eskiz.server.assessment;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.operator.OpenToVisitors;
import org.eskiz.server.web.Computation;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping(path = "/api", consumes = MediaType.APPLICATION_JSON_VALUE)
@Tag(name = "assessment")
class AssessmentController {

    private final AssessmentService assessments;

    AssessmentController(AssessmentService assessments) {
        this.assessments = assessments;
    }

    @Computation
    @PostMapping("/assessments")
    @OpenToVisitors
    @Operation(operationId = "assess", summary = "What a run does on every band")
    AssessmentResponse assess(@RequestBody AssessmentSpec request) {
        return assessments.assess(request);
    }

    @Computation
    @PostMapping("/assessments/profile")
    @OpenToVisitors
    @Operation(
            operationId = "profile",
            summary = "What happens along a run on one band: voltage, current, heat, margins")
    ProfileResponse profile(@RequestBody AssessmentSpec request) {
        return assessments.profile(request);
    }

    @Computation
    @PostMapping("/assessments/at-the-antenna")
    @OpenToVisitors
    @Operation(
            operationId = "carryToAntenna",
            summary = "What was measured at the radio, carried through the run to the antenna")
    CarriedResponse carry(@RequestBody AssessmentSpec request) {
        return assessments.carry(request);
    }

    @Computation
    @PostMapping("/fits")
    @OpenToVisitors
    @Operation(operationId = "fit", summary = "The attenuation law nearest to rows of a data sheet")
    FitResponse fit(@RequestBody FitRequest request) {
        return assessments.fit(request);
    }
}
