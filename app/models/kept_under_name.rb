# frozen_string_literal: true

module App
  # What is kept under a name of its own, for any book.
  module KeptUnderName
    LONGEST_NAME = 200

    # The name as it is kept; Refusal for one that is none.
    def check_name(name)
      name = name.to_s.strip
      if name.empty? || name.length > LONGEST_NAME
        raise TileLoom::Refusal.new("changes.name_too_long", thing: self::TITLE, longest: LONGEST_NAME, at: "/name")
      end
      name
    end

    # Keeps values under a name, in place of those of that name; of two at once the later stays.
    def keep(name, **values)
      tried ||= 0
      transaction(requires_new: true) { lock.find_or_initialize_by(name: name).tap { |row| row.update!(values) } }
    rescue ActiveRecord::RecordNotUnique, ActiveRecord::Deadlocked
      ((tried += 1) < 5) ? retry : raise
    end
  end
end
