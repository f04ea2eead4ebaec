# frozen_string_literal: true

require "rack/timeout/base"

module App
  # A request that takes too long is ended with 503 in words. Files take longer than questions: their bytes are read
  # apart within the request.
  class Deadline
    SECONDS, FILE_SECONDS = 30, 300

    def self.files?(env) =
      env["REQUEST_METHOD"] == "POST" && env["CONTENT_TYPE"].to_s.start_with?("multipart/form-data")

    # Each request in the log would be too much.
    Rack::Timeout::Logger.disable

    # seconds, file_seconds: how long.
    def initialize(app, seconds: SECONDS, file_seconds: FILE_SECONDS)
      @plain, @files =
        [seconds, file_seconds].map do |limit|
          Rack::Timeout.new(app, service_timeout: limit, wait_timeout: false, service_past_wait: true)
        end
    end

    def call(env)
      (self.class.files?(env) ? @files : @plain).call(env)
    rescue Rack::Timeout::Error
      self.class.forget_connection
      Plain.answer(503, "answers.took_too_long", headers: {"retry-after" => "10"})
    end

    # A query may have been cut off in the middle: its connection must not be used again.
    def self.forget_connection
      pool = ActiveRecord::Base.connection_pool
      pool.active_connection? && pool.lease_connection.throw_away!
    rescue ActiveRecord::ActiveRecordError
      nil
    end
  end
end
