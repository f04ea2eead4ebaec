# frozen_string_literal: true

module App
  # Refuses a request that is too large before any of its body is read apart.
  class BodyLimit
    LARGEST = 64 * 1024**2
    # JSON other than book files.
    LARGEST_JSON = RequestSchema::LARGEST_BYTES
    # A file to make a book of; files on their way into a book, which may hold pixels.
    LARGEST_START = 2 * 1024**3
    LARGEST_FILE = 4 * 1024**3

    def initialize(app) = @app = app

    def call(env)
      largest = largest(env)
      # A body that does not say how long it is could be of any length.
      if env["HTTP_TRANSFER_ENCODING"] && !env["CONTENT_LENGTH"]
        return Plain.answer(411, "answers.length_wanted", headers: {"connection" => "close"})
      end
      return @app.call(env) if env["CONTENT_LENGTH"].to_i <= largest
      size = (largest >= 1024**3) ? "#{largest / 1024**3} GB" : "#{largest / 1024**2} MB"
      Plain.answer(413, "answers.too_large", headers: {"connection" => "close"}, most: size)
    end

    private

    def largest(env)
      path = env["PATH_INFO"].to_s
      return LARGEST_START if path == "/api/starts"
      return LARGEST_FILE if path.end_with?("/arrivals")
      (path == "/api/books" || env["CONTENT_TYPE"].to_s.start_with?("multipart/form-data")) ? LARGEST : LARGEST_JSON
    end
  end
end
