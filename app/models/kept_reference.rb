# frozen_string_literal: true

module App
  # A reference of one's own under a name, to be chosen for any book.
  class KeptReference < ActiveRecord::Base
    extend KeptUnderName

    TITLE = "reference"
    MOST = 500

    # Keeps a definition under a name, in place of the one of that name; Invalid where either does not do.
    def self.define(name, definition)
      name = check_name(name)
      if count >= MOST && !exists?(name: name)
        raise TileLoom::Invalid.new("#{MOST} CRSs are saved already; delete one first.")
      end
      TileLoom::Crs::System.find(definition).for_fixed_scale!
      keep(name, definition: definition)
    end
  end
end
