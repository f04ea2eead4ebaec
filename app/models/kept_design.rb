# frozen_string_literal: true

module App
  # A layout that was kept under a name, for any book; with the book's own drawings that it uses.
  class KeptDesign < ActiveRecord::Base
    attribute :layout, :json
    Book::OWN.each { |list| attribute list, :json }

    def self.check_name(name)
      name = name.to_s.strip
      raise TileLoom::Invalid.new("Give the design a name of at most 200 characters.", path: "/name") if name.empty? || name.length > 200
      name
    end
  end
end
