# frozen_string_literal: true

require "json"

module App
  # An answer of one sentence from before the routes.
  module Plain
    module_function

    # code: of the sentence in the catalogue; values: what it names.
    def answer(status, code, headers: {}, **values)
      [
        status,
        {"content-type" => "application/json"}.merge(headers),
        [JSON.generate({code: code, message: TileLoom::Sentences.of(code, values)})]
      ]
    end
  end
end
