# frozen_string_literal: true

module App
  # Refuses addresses that are no text: percent signs that lead to no UTF-8, control characters, too many parameters.
  class WellFormed
    LONGEST = 100_000
    MOST_PARAMETERS = 200

    def initialize(app) = @app = app

    def call(env)
      parts = [env["PATH_INFO"], env["QUERY_STRING"]].map(&:to_s)
      return Plain.answer(414, "answers.address_too_long", longest: LONGEST) if parts.sum(&:bytesize) > LONGEST
      return Plain.answer(400, "answers.address_no_text") unless parts.all? { |part| text?(part) }
      if parts[1].count("&;") >= MOST_PARAMETERS
        return Plain.answer(400, "answers.too_many_parameters", most: MOST_PARAMETERS)
      end
      @app.call(env)
    rescue Rack::BadRequest, Rack::Multipart::MultipartPartLimitError, EOFError, EncodingError => error
      trouble = error.class.name.split("::").last.gsub(/(?<=[a-z])(?=[A-Z])/, " ").downcase
      Plain.answer(400, "answers.unreadable_because", trouble: trouble)
    end

    private

    # Rack hands the path over as it came, escaped or not.
    def text?(part)
      plain = part.b.gsub(/%(\h\h)/n) { $1.hex.chr.b }.force_encoding(Encoding::UTF_8)
      plain.valid_encoding? && !plain.match?(TileLoom::Assets::JsonText::CONTROL)
    end
  end
end
