package hightally.app.platform;

import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** The page's own addresses all answer with the page; its hashed files may be kept for good. */
@Configuration
class PageRoutes implements WebMvcConfigurer {
  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    registry.addViewController("/models/**").setViewName("forward:/index.html");
    registry.addViewController("/new").setViewName("forward:/index.html");
    registry.addViewController("/bring-in").setViewName("forward:/index.html");
    registry.addViewController("/school/**").setViewName("forward:/index.html");
  }

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365)).immutable());
  }
}
