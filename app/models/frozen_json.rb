# frozen_string_literal: true

module App
  # A column of JSON whose value nobody changes in place: it is put in anew, whole, so that whether it was changed is
  # known without reading it again.
  class FrozenJson < ActiveModel::Type::Value
    def type = :json

    def deserialize(text) = text && JSON.parse(text, freeze: true)

    # What is read back later: plain JSON.
    def cast(value) = value.nil? ? nil : deserialize(JSON.generate(value))

    def serialize(value) = value.nil? ? nil : JSON.generate(value)
  end
end
