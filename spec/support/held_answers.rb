# frozen_string_literal: true

require "zlib"

# The application with every JSON answer held against app/answers.json, whoever asks.
class HeldAnswers
  # Larger ones are of the same shapes.
  LARGEST = 1_000_000

  def initialize(app) = @app = app

  def call(env)
    status, headers, body = @app.call(env)
    route = env["sinatra.route"]
    return status, headers, body unless route && json?(status, headers)
    parts = []
    body.each { |part| parts << part }
    body.close if body.respond_to?(:close)
    demand(route, plain(parts.join, headers))
    [status, headers, parts]
  end

  private

  def json?(status, headers)
    type = headers.find { |name, _| name.downcase == "content-type" }&.last
    (200..299).cover?(status) && type.to_s.start_with?("application/json") &&
      headers.none? { |name, _| name.downcase == "content-disposition" }
  end

  def plain(text, headers)
    packed = headers.any? { |name, value| name.downcase == "content-encoding" && value == "gzip" }
    packed ? Zlib.gunzip(text) : text
  end

  def demand(route, text)
    return if text.bytesize > LARGEST || text.empty?
    raise "#{route} is not in app/answers.json" unless App::AnswerSchema.routes.include?(route)
    wrong = App::AnswerSchema.wrong(route, JSON.parse(text)).first(5)
    raise "#{route} answers otherwise than app/answers.json says: #{wrong.inspect[0, 1500]}" if wrong.any?
  end
end
