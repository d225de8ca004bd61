package hightally.e2e;

import java.io.IOException;
import java.io.InputStream;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * A stranger's bodies of 20 MB, thirty at once every second, beside a desk at work: the desk's
 * answers against those of a quiet program. Half of them say how long they are, half do not.
 */
final class StrangerTimes {
  private static final double LIMIT = 2;
  private static final int AT_ONCE = 30;
  private static final int BYTES = 20_000_000;
  private static final int OK = 200;
  private static final long SECOND_MILLIS = 1000;

  private final HttpClient client = HttpClient.newHttpClient();
  private final RunningApp app;
  private final String stranger;

  private StrangerTimes(RunningApp app, String stranger) {
    this.app = app;
    this.stranger = stranger;
  }

  /**
   * Measures and prints; answers whether the desk is within the limit.
   *
   * @param stranger the address by which it is no desk
   */
  static boolean measure(RunningApp app, String stranger, int rounds)
      throws IOException, InterruptedException {
    return new StrangerTimes(app, stranger).measured(rounds);
  }

  /** Where the network finds an application; its own address on a machine without a network. */
  static String network(RunningApp app) throws IOException {
    for (NetworkInterface one : Collections.list(NetworkInterface.getNetworkInterfaces())) {
      for (InetAddress address : Collections.list(one.getInetAddresses())) {
        if (address instanceof Inet4Address && !address.isLoopbackAddress()) {
          return app.address().replace("127.0.0.1", address.getHostAddress());
        }
      }
    }
    return app.address();
  }

  private boolean measured(int rounds) throws IOException, InterruptedException {
    desk(rounds);
    List<Double> quiet = desk(rounds);
    AtomicBoolean going = new AtomicBoolean(true);
    AtomicInteger sent = new AtomicInteger();
    List<Thread> strangers = new ArrayList<>();
    for (int i = 0; i < AT_ONCE; i++) {
      boolean says = i % 2 == 0;
      Thread one =
          new Thread(
              () -> {
                while (going.get()) {
                  send(says);
                  sent.incrementAndGet();
                  pause();
                }
              });
      one.setDaemon(true);
      one.start();
      strangers.add(one);
    }
    while (sent.get() < AT_ONCE) {
      Thread.onSpinWait();
    }
    List<Double> beside = desk(rounds);
    going.set(false);
    for (Thread one : strangers) {
      one.join();
    }
    System.out.printf("A stranger sent %d bodies of 20 MB, thirty at once.%n", sent.get());
    return Limits.told("The desk's answers beside them", beside, quiet, LIMIT);
  }

  /** Thirty bodies a second are more than a network brings; a flood would measure its sender. */
  private static void pause() {
    try {
      Thread.sleep(SECOND_MILLIS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void send(boolean says) {
    HttpRequest.BodyPublisher body =
        says
            ? HttpRequest.BodyPublishers.ofByteArray(new byte[BYTES])
            : HttpRequest.BodyPublishers.ofInputStream(Zeros::new);
    try {
      client.send(
          HttpRequest.newBuilder(URI.create(stranger + "api/aircraft"))
              .header("Content-Type", "application/json")
              .POST(body)
              .build(),
          HttpResponse.BodyHandlers.discarding());
    } catch (IOException e) {
      // Cut off, as it should be.
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** The hangar and one model, as a page at the desk asks for them, one after the other. */
  private List<Double> desk(int rounds) throws IOException, InterruptedException {
    List<Double> took = new ArrayList<>();
    for (int i = 0; i < rounds; i++) {
      long begin = System.nanoTime();
      for (String path : List.of("api/aircraft", "api/aircraft/1", "api/aircraft/1/flights")) {
        int status =
            client
                .send(
                    HttpRequest.newBuilder(URI.create(app.address() + path)).build(),
                    HttpResponse.BodyHandlers.ofString())
                .statusCode();
        if (status != OK) {
          throw new IllegalStateException(path + " answered " + status);
        }
      }
      took.add((System.nanoTime() - begin) / 1e9);
    }
    return took;
  }

  /** So many bytes of nothing, whose number is not said. */
  private static final class Zeros extends InputStream {
    private int left = BYTES;

    @Override
    public int read() {
      return left-- > 0 ? 0 : -1;
    }

    @Override
    public int read(byte[] into, int from, int length) {
      if (left <= 0) {
        return -1;
      }
      int some = Math.min(left, length);
      Arrays.fill(into, from, from + some, (byte) 0);
      left -= some;
      return some;
    }
  }
}
