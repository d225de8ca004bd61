package hightally.app.platform;

import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
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

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365)).immutable());
  }
}
