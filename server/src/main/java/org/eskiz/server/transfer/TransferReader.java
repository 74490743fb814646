package org.eskiz.server.transfer;

import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Opens files, whether they came whole or in parts. */
@Component
class TransferReader {

    private final JsonMapper json;
    private final TransferUploads uploads;

    TransferReader(JsonMapper json, TransferUploads uploads) {
        this.json = json;
        this.uploads = uploads;
    }

    /**
     * Opens the file of a request.
     *
     * @throws org.eskiz.server.problem.InvalidRequestException when it is none of ours
     */
    OpenFile open(TransferRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        if ((request.text() == null) == (request.uploadId() == null)) {
            errors.add("text", "must be given, or an uploadId in its place");
        }
        errors.throwIfAny();
        OpenFile file = new OpenFile(
                json,
                request.text() != null
                        ? () -> json.createParser(request.text().replaceFirst("^\uFEFF", ""))
                        : () -> json.createParser(uploads.open(request.uploadId())));
        file.requireOurs();
        return file;
    }
}
