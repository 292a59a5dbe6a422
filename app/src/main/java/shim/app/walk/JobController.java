package shim.app.walk;

import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.app.record.Photos;
import shim.app.walk.JobViews.DangerView;
import shim.app.walk.JobViews.JobLine;
import shim.app.walk.JobViews.JobView;

/** Walks of every kind. Every act answers with the whole job as it then stands. */
@RestController
class JobController {
  private final Jobs jobs;
  private final JobReader reader;
  private final Photos photos;

  JobController(Jobs jobs, JobReader reader, Photos photos) {
    this.jobs = jobs;
    this.reader = reader;
    this.photos = photos;
  }

  /** Lists an engine's jobs, begun and signed. */
  @GetMapping("/api/engines/{id}/jobs")
  List<JobLine> jobs(@PathVariable UUID id) {
    return reader.of(id);
  }

  /** Gives a job: what was done, what is next, and why something is held. */
  @GetMapping("/api/jobs/{id}")
  JobView job(@PathVariable UUID id) {
    return reader.view(id);
  }

  /** Does the next step of a job. */
  @PutMapping("/api/jobs/{id}/acts/{actId}")
  JobView act(@PathVariable UUID id, @PathVariable UUID actId, @RequestBody Jobs.ActEntry entry) {
    jobs.act(id, actId, entry);
    return reader.view(id);
  }

  /** Keeps something found during a job. */
  @PutMapping("/api/jobs/{id}/findings/{findingId}")
  JobView find(
      @PathVariable UUID id, @PathVariable UUID findingId, @RequestBody Jobs.FindingEntry entry) {
    jobs.find(id, findingId, entry);
    return reader.view(id);
  }

  /** A photo of a finding, JPEG or PNG, 12 MB at most. */
  @PutMapping(
      value = "/api/jobs/{id}/findings/{findingId}/photo",
      consumes = {
        MediaType.IMAGE_JPEG_VALUE,
        MediaType.IMAGE_PNG_VALUE,
        "application/octet-stream"
      })
  JobView photo(@PathVariable UUID id, @PathVariable UUID findingId, @RequestBody byte[] image) {
    jobs.photo(id, findingId, image);
    return reader.view(id);
  }

  /** Gives the photo of a finding. */
  @GetMapping("/api/findings/{id}/photo")
  ResponseEntity<byte[]> photoOf(@PathVariable UUID id) {
    byte[] image = photos.read(id);
    return ResponseEntity.ok()
        .contentType(
            MediaType.parseMediaType(
                Photos.type(image).orElse(MediaType.APPLICATION_OCTET_STREAM_VALUE)))
        .header("X-Content-Type-Options", "nosniff")
        .body(image);
  }

  /** Every valve of the team that nothing but its hold keeps up. */
  @GetMapping("/api/danger")
  List<DangerView> danger() {
    return reader.dangers();
  }
}
