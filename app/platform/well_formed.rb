# frozen_string_literal: true

module App
  # Refuses addresses that are no text: percent signs that lead to no UTF-8, control characters, too many parameters.
  class WellFormed
    LONGEST = 100_000
    MOST_PARAMETERS = 200

    def initialize(app) = @app = app

    def call(env)
      parts = [env["PATH_INFO"], env["QUERY_STRING"]].map(&:to_s)
      return Plain.answer(414, "This address is longer than #{LONGEST} characters.") if parts.sum(&:bytesize) > LONGEST
      unless parts.all? { |part| text?(part) }
        return Plain.answer(400, "This address is not UTF-8 text without control characters.")
      end
      if parts[1].count("&;") >= MOST_PARAMETERS
        return Plain.answer(400, "This address has more than #{MOST_PARAMETERS} parameters.")
      end
      @app.call(env)
    rescue Rack::BadRequest, Rack::Multipart::MultipartPartLimitError, EOFError, EncodingError => error
      Plain.answer(
        400,
        "The request does not read (#{error.class.name.split("::").last.gsub(/(?<=[a-z])(?=[A-Z])/, " ").downcase})."
      )
    end

    private

    # Rack hands the path over as it came, escaped or not.
    def text?(part)
      plain = part.b.gsub(/%(\h\h)/n) { $1.hex.chr.b }.force_encoding(Encoding::UTF_8)
      plain.valid_encoding? && !plain.match?(TileLoom::Assets::JsonText::CONTROL)
    end
  end
end
