# frozen_string_literal: true

require "json"

module App
  # Refuses a request that is too large before any of its body is read apart.
  class BodyLimit
    LARGEST = 64 * 1024**2
    # Data files on their way into a book.
    LARGEST_FILE = 2 * 1024**3

    def initialize(app) = @app = app

    def call(env)
      largest = env["PATH_INFO"].to_s.end_with?("/arrivals") ? LARGEST_FILE : LARGEST
      return @app.call(env) if env["CONTENT_LENGTH"].to_i <= largest
      size = (largest >= 1024**3) ? "#{largest / 1024**3} GB" : "#{largest / 1024**2} MB"
      [413, {"content-type" => "application/json", "connection" => "close"}, [JSON.generate({"message" => "This is larger than #{size}, the most that is taken at once."})]]
    end
  end
end
