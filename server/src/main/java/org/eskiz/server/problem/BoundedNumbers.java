package org.eskiz.server.problem;

import java.io.DataInput;
import java.io.InputStream;
import java.io.Reader;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.core.io.IOContext;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.json.JsonFactoryBuilder;
import tools.jackson.core.util.JsonParserDelegate;

/**
 * JSON whose numbers are looked at for their size before anything is made of them. {@code 1e300000000} has ten characters,
 * and whoever scales it as a decimal needs a hundred megabytes for its zeros.
 */
final class BoundedNumbers extends JsonFactory {

    private static final long serialVersionUID = 1;

    private static final int MOST_EXPONENT_DIGITS = 3;
    private static final int SHOWN = 40;

    BoundedNumbers(JsonFactoryBuilder builder) {
        super(builder);
    }

    @Override
    protected JsonParser _createParser(ObjectReadContext reading, IOContext io, InputStream in) {
        return new Bounded(super._createParser(reading, io, in));
    }

    @Override
    protected JsonParser _createParser(ObjectReadContext reading, IOContext io, Reader in) {
        return new Bounded(super._createParser(reading, io, in));
    }

    @Override
    protected JsonParser _createParser(
            ObjectReadContext reading, IOContext io, char[] text, int offset, int length, boolean recyclable) {
        return new Bounded(super._createParser(reading, io, text, offset, length, recyclable));
    }

    @Override
    protected JsonParser _createParser(ObjectReadContext reading, IOContext io, byte[] text, int offset, int length) {
        return new Bounded(super._createParser(reading, io, text, offset, length));
    }

    @Override
    protected JsonParser _createParser(ObjectReadContext reading, IOContext io, DataInput in) {
        return new Bounded(super._createParser(reading, io, in));
    }

    private static final class Bounded extends JsonParserDelegate {

        Bounded(JsonParser parser) {
            super(parser);
        }

        @Override
        public JsonToken nextToken() {
            return checked(super.nextToken());
        }

        @Override
        public JsonToken nextValue() {
            return checked(super.nextValue());
        }

        private JsonToken checked(JsonToken token) {
            if (token == JsonToken.VALUE_NUMBER_FLOAT && isTooLarge()) {
                String text = delegate.getString();
                String shown = text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
                throw new StreamReadException(
                        delegate, "the number " + shown + " is larger or smaller than any that can be read here");
            }
            return token;
        }

        private boolean isTooLarge() {
            char[] text = delegate.getStringCharacters();
            int from = delegate.getStringOffset();
            int to = from + delegate.getStringLength();
            return digits(text, exponentAt(text, from, to) + 1, to) > MOST_EXPONENT_DIGITS;
        }

        /** Where the exponent begins; the end where there is none. */
        private static int exponentAt(char[] text, int from, int to) {
            for (int i = from; i < to; i++) {
                if (text[i] == 'e' || text[i] == 'E') {
                    return i;
                }
            }
            return to;
        }

        /** Digits of an exponent without its sign and leading zeros. */
        private static int digits(char[] text, int from, int to) {
            int first = from;
            while (first < to && (text[first] == '+' || text[first] == '-' || text[first] == '0')) {
                first++;
            }
            return to - first;
        }
    }
}
