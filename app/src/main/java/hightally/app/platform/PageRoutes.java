package hightally.app.platform;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.util.DigestUtils;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** The page's own addresses all answer with the page; its hashed files may be kept for good. */
@Configuration
class PageRoutes implements WebMvcConfigurer {
  private static final String[] OWN = {
    "/models/**", "/new", "/bring-in", "/school/**", "/settings", "/let-in"
  };

  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    for (String own : OWN) {
      registry.addViewController(own).setViewName("forward:/index.html");
    }
  }

  /**
   * The page itself is asked for anew each time, and known again by what is in it: its time is that
   * of every build alike, and a browser must never go on with the page of an older High Tally. What
   * is kept of it comes back where the program is out of reach.
   */
  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/**")
        .addResourceLocations("classpath:/static/")
        .setUseLastModified(false)
        .setEtagGenerator(PageRoutes::digest)
        .setCacheControl(CacheControl.noCache());
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365)).immutable());
  }

  private static String digest(Resource file) {
    try (InputStream content = file.getInputStream()) {
      return DigestUtils.md5DigestAsHex(content);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
