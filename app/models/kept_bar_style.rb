# frozen_string_literal: true

module App
  # A style of scale bars that was kept under a name, for any book.
  class KeptBarStyle < ActiveRecord::Base
    attribute :style, :json

    def self.check_name(name)
      name = name.to_s.strip
      raise TileLoom::Invalid.new("Give the style a name of at most 200 characters.", path: "/name") if name.empty? || name.length > 200
      name
    end
  end
end
