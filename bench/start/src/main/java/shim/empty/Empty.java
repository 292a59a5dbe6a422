package shim.empty;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** An application that does nothing, with everything Shim is built on; it ends once it is up. */
@SpringBootApplication
public class Empty {
  public static void main(String[] args) {
    SpringApplication.run(Empty.class, args);
    System.exit(0);
  }
}
