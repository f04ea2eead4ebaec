# frozen_string_literal: true

module App
  # A column of JSON whose value nobody changes in place: it is put in anew, whole, so that whether it was changed is
  # known without reading it again.
  class FrozenJson < ActiveModel::Type::Value
    # Longer texts that were read lately with what they say, as a book is asked for several times in one request.
    LEAST_BYTES, MOST_BYTES = 1024, 4 * 1024**2
    READ = TileLoom::RecentlyUsed.new(MOST_BYTES)

    def type = :json

    def deserialize(text) = text && (READ[text] || read(text))

    # What is read back later: plain JSON.
    def cast(value) = value.nil? ? nil : deserialize(JSON.generate(value))

    def serialize(value) = value.nil? ? nil : JSON.generate(value)

    private

    def read(text)
      JSON
        .parse(text, freeze: true)
        .tap { |value| READ.keep(text.dup.freeze, value, text.bytesize) if text.bytesize >= LEAST_BYTES }
    end
  end
end
