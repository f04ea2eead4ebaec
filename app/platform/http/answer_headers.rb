# frozen_string_literal: true

module App
  # What every answer says to a browser: to take it for what it is called and nothing else, and to run nothing of it.
  # The pages have a policy of their own.
  class AnswerHeaders
    DATA = "default-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'"
    # A drawing, should it be opened by itself: shown, with pictures and faces of ours, in an origin of its own.
    DRAWING =
      "default-src 'none'; style-src 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; base-uri 'none'; " \
      "form-action 'none'; frame-ancestors 'none'; sandbox"

    def initialize(app) = @app = app

    def call(env)
      status, headers, body = @app.call(env)
      headers["x-content-type-options"] ||= "nosniff"
      headers["referrer-policy"] ||= "same-origin"
      headers["cross-origin-resource-policy"] ||= "same-origin"
      headers["content-security-policy"] ||= headers["content-type"].to_s.start_with?("image/svg") ? DRAWING : DATA
      [status, headers, body]
    end
  end
end
