# frozen_string_literal: true

require "json"

module App
  # An answer of one sentence from before the routes.
  module Plain
    module_function

    def answer(status, message, **headers)
      [
        status,
        {"content-type" => "application/json"}.merge(headers.transform_keys(&:to_s)),
        [JSON.generate({"message" => message})]
      ]
    end
  end
end
