# frozen_string_literal: true

module App
  # A reference of one's own under a name, to be chosen for any book.
  class KeptReference < ActiveRecord::Base
    extend KeptUnderName

    TITLE = "reference"
    MOST = 500

    # Keeps a definition under a name, in place of the one of that name; Refusal where either does not do.
    def self.define(name, definition)
      name = check_name(name)
      raise TileLoom::Refusal.new("imports.too_many_crs", most: MOST) if count >= MOST && !exists?(name: name)
      TileLoom::Crs::System.find(definition).for_fixed_scale!
      keep(name, definition: definition)
    end
  end
end
