# frozen_string_literal: true

module TileLoom
  module Output
    # The forms in which a book is handed on, each a file in forms/.
    module Forms
      extend Values::Kinds
    end
  end
end
