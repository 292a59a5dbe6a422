package shim.bench;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import shim.app.running.LoggerFile;

/** A million rows of a logger: read and tallied by Shim, and only read by the bare CSV library. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class LoggerBenchmark {
  private final byte[] file = file(1_000_000);

  private static byte[] file(int rows) {
    StringBuilder csv = new StringBuilder("time [s];rpm;oil [°C]\n");
    for (int i = 0; i < rows; i++) {
      csv.append(
          String.format(
              Locale.GERMANY,
              "%.2f;%d;%.1f\n",
              i * 0.01,
              3000 + (i * 7) % 4000,
              80 + i % 20 / 2.0));
    }
    return csv.toString().getBytes(StandardCharsets.UTF_8);
  }

  @Benchmark
  public LoggerFile.Understood millionRowsTallied() throws IOException {
    return LoggerFile.read(new ByteArrayInputStream(file), 6800, null);
  }

  @Benchmark
  public long millionRowsReadBare() throws IOException {
    long length = 0;
    try (CsvReader<CsvRecord> csv =
        CsvReader.builder()
            .fieldSeparator(';')
            .ofCsvRecord(
                new InputStreamReader(new ByteArrayInputStream(file), StandardCharsets.UTF_8))) {
      for (CsvRecord row : csv) {
        length += row.getField(0).length();
      }
    }
    return length;
  }
}
