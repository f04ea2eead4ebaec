# frozen_string_literal: true

module App
  # A style of scale bars that was kept under a name, for any book.
  class KeptBarStyle < ActiveRecord::Base
    extend KeptUnderName

    TITLE = "style"

    attribute :style, :json
  end
end
