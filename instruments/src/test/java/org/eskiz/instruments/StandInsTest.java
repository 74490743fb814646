package org.eskiz.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.concurrent.atomic.AtomicLong;
import org.apache.commons.numbers.complex.Complex;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the stand-ins say, and the physics behind it. */
class StandInsTest {

    @Test
    void everyPieceIsPassiveAndLosesWhatItsLawSays() {
        for (Piece piece : Shelf.PIECES) {
            for (double mhz : new double[] {2, 28.5, 145, 430}) {
                Complex[] s = piece.scattering(mhz * 1e6);
                assertThat(s[0].norm() + s[1].norm()).as(piece.name()).isLessThan(1);
            }
        }
        Piece good = Shelf.PIECES.get(0);
        double lossDb = -20 * Math.log10(good.scattering(145e6)[1].abs());
        assertThat(lossDb).isCloseTo((0.3957 * Math.sqrt(145) + 0.00139 * 145) * 0.2, within(0.01));
        assertThat(good.reflection(145e6, 0).abs()).isLessThan(0.01);
        assertThat(-20 * Math.log10(good.reflection(145e6, 1).abs())).isCloseTo(2 * lossDb, within(0.05));
    }

    @ParameterizedTest
    @CsvSource({
        "SENS:FREQ:STAR, true",
        "sense:frequency:start, true",
        ":SENSe:FREQ:START, true",
        "SENS:FREQ:STA, false",
        "SENS:FREQ, false",
        "SENS:FREQ:STAR?, false"
    })
    void headersHaveAShortFormAndALongOne(String header, boolean isIt) {
        assertThat(Scpi.is(header, "SENSe:FREQuency:STARt")).isEqualTo(isIt);
    }

    @Test
    void whatIsNotKnownOrOutOfRangeStandsInTheQueueOfErrors() throws InterruptedException {
        Analyser analyser = new Analyser();
        assertThat(analyser.handle("SENS:FREQ:STAR 1e12")).isNull();
        assertThat(analyser.handle("NO:SUCH 1")).isNull();
        assertThat(said(analyser, "*ESR?")).isEqualTo("32");
        assertThat(said(analyser, "SYST:ERR?")).startsWith("-222");
        assertThat(said(analyser, "SYSTEM:ERROR:NEXT?")).startsWith("-113");
        assertThat(said(analyser, "SYST:ERR?")).startsWith("0,");
        analyser.handle("SENS:CORR:COLL:SAVE");
        assertThat(said(analyser, "SYST:ERR?")).contains("must be acquired first");
        assertThat(said(analyser, "*IDN?").split(",")).hasSize(4);
    }

    @Test
    void aSweepIsDataOnlyWhenItHasRunThrough() throws InterruptedException {
        AtomicLong now = new AtomicLong(1);
        Analyser analyser = new Analyser(now::get);
        analyser.handle("SENS:SWE:POIN 3");
        analyser.handle("INIT");
        assertThat(analyser.handle("CALC:DATA? FREQ")).isNull();
        assertThat(said(analyser, "SYST:ERR?")).startsWith("-230");
        now.addAndGet(Duration.ofMinutes(1).toNanos());
        assertThat(said(analyser, "*OPC?")).isEqualTo("1");
        byte[] block = analyser.handle("CALC:DATA? FREQ");
        assertThat(new String(block, 0, 4, StandardCharsets.US_ASCII)).isEqualTo("#224");
        assertThat(block[block.length - 1]).isEqualTo((byte) '\n');
        double[] hertz = new double[3];
        ByteBuffer.wrap(Arrays.copyOfRange(block, 4, 28)).asDoubleBuffer().get(hertz);
        assertThat(hertz).containsExactly(1e6, 225.5e6, 450e6);
        analyser.handle("ABOR");
        assertThat(said(analyser, "SENS:SWE:PROG?")).isEqualTo("0");
    }

    @Test
    void anUncalibratedAnalyserGainsAndACalibratedOneDoesNot() throws InterruptedException {
        Analyser analyser = new Analyser();
        assertThat(strongest(analyser)).isGreaterThan(1);
        for (String standard : new String[] {"OPEN", "SHORT", "LOAD"}) {
            analyser.handle("SENS:CORR:COLL:ACQ " + standard);
        }
        analyser.handle("SENS:CORR:COLL:SAVE");
        assertThat(said(analyser, "SENS:CORR:STAT?")).isEqualTo("1");
        assertThat(strongest(analyser)).isLessThan(1);
    }

    private static double strongest(Analyser analyser) throws InterruptedException {
        analyser.handle("SENS:SWE:POIN 5");
        analyser.handle("INIT");
        analyser.handle("*OPC?");
        double[] values = new double[10];
        byte[] block = analyser.handle("CALC:DATA? S21");
        ByteBuffer.wrap(Arrays.copyOfRange(block, 4, 84)).asDoubleBuffer().get(values);
        double most = 0;
        for (int i = 0; i < 5; i++) {
            most = Math.max(most, Math.hypot(values[2 * i], values[2 * i + 1]));
        }
        return most;
    }

    @Test
    void theWattmeterShowsPowerOnlyWhileTheRadioIsKeyed() throws InterruptedException {
        Wattmeter meter = new Wattmeter();
        assertThat(said(meter, "MEAS:POW?")).isEqualTo("0.00");
        meter.handle("SOUR:POW 50");
        meter.handle("OUTP ON");
        double direct = Double.parseDouble(said(meter, "MEAS:POW?"));
        assertThat(direct).isCloseTo(50, within(1.0));
        meter.handle("ROUT:PATH CABLE");
        assertThat(Double.parseDouble(said(meter, "MEAS:POW?"))).isLessThan(direct);
        meter.handle("OUTP OFF");
        assertThat(said(meter, "OUTP?")).isEqualTo("0");
        meter.handle("SOUR:POW 5000");
        assertThat(said(meter, "SYST:ERR?")).contains("0.1 to 200 W");
    }

    @Test
    void aBlindPieceIsHiddenUntilItIsRevealed() throws InterruptedException {
        Analyser analyser = new Analyser();
        analyser.handle("SIM:BLIN");
        assertThat(said(analyser, "SIM:CABL?")).isEqualTo("\"blind\"");
        String truth = said(analyser, "SIM:REV?");
        assertThat(Shelf.PIECES).anyMatch(p -> truth.contains(p.name()) && truth.contains(p.truth()));
        assertThat(said(analyser, "SIM:CABL?")).isNotEqualTo("\"blind\"");
    }

    @Test
    void severalCommandsMayStandInOneLineOverTheSocket() throws IOException {
        try (ScpiServer socket = new ScpiServer(new Wattmeter(), 0)) {
            Thread serving = new Thread(socket::serve);
            serving.setDaemon(true);
            serving.start();
            try (Socket visitor = new Socket(InetAddress.getLoopbackAddress(), socket.port())) {
                visitor.getOutputStream()
                        .write("SOUR:POW 20;OUTP ON;OUTP?;*IDN?\n".getBytes(StandardCharsets.US_ASCII));
                var lines =
                        new BufferedReader(new InputStreamReader(visitor.getInputStream(), StandardCharsets.US_ASCII));
                assertThat(lines.readLine()).isEqualTo("1");
                assertThat(lines.readLine()).contains("wattmeter");
            }
        }
    }

    private static String said(Instrument instrument, String query) throws InterruptedException {
        return new String(instrument.handle(query), StandardCharsets.US_ASCII).strip();
    }
}
