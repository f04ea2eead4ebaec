# frozen_string_literal: true

module App
  # A reference of one's own under a name, to be chosen for any book.
  class KeptReference < ActiveRecord::Base
    MOST = 500

    # Keeps a definition under a name, in place of the one of that name; Invalid where either does not do.
    def self.keep(name, definition)
      name = name.to_s.strip
      raise TileLoom::Invalid.new("Give the reference a name of at most 200 characters.", path: "/name") if name.empty? || name.length > 200
      raise TileLoom::Invalid.new("#{MOST} references are kept already; drop one first.") if count >= MOST && !exists?(name: name)
      TileLoom::Reference::Crs.find(definition).for_fixed_scale!
      find_or_initialize_by(name: name).tap { |row| row.update!(definition: definition) }
    end
  end
end
